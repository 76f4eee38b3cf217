<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Actions\GivenSighting;
use App\Models\Ground;
use App\Models\Patch;
use App\Models\Sighting;
use App\Models\Stand;
use App\Models\User;
use App\Support\JobClock;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\LookAlike;
use Thicket\Identify\ObservedCharacters;
use Thicket\Input\Fields;

/** One sighting: of a stand, which it names, or free at a point or on a patch. Faults are noted in the fields. */
final readonly class SightingReader
{
    /** A clock set a little fast is no lie. */
    private const AHEAD_MINUTES = 10;

    public function __construct(private Catalogue $catalogue, private JobClock $clock) {}

    public function read(Fields $in, User $user, ?Stand $stand): GivenSighting
    {
        $id = $in->uuidOrNull('id');
        $patch = $stand->patch ?? $this->patch($in, $user);
        $ground = $stand !== null ? $stand->patch->ground : $this->ground($in, $user, $patch);
        $place = $ground === null ? [] : $this->point($in, $ground);
        if ($stand === null && $patch === null && $ground !== null && $place === []) {
            $in->fault('point', 'Say where it was: mark the point, or choose a patch.');
        }
        $sight = ObservedCharacters::read($in, $this->catalogue);
        $species = $in->textOrNull('species', 60);
        $unknown = $in->bool('unknown', false);
        if ($species !== null && !$this->catalogue->hasSpecies($species)) {
            $in->fault('species', 'This species is not in the catalogue.');
        }
        if (($species === null) === !$unknown) {
            $in->fault('species', 'Name the species, or say that it stays unknown.');
        }
        $tests = $this->tests($in, $species);
        $row = $this->details($in, $ground) + $place;
        $founds = $stand === null && $in->bool('foundStand', false);
        $founds && $patch === null && $in->fault('foundStand', 'A stand needs a patch; choose one.');

        return new GivenSighting($id, $patch, $ground, $sight, $species, $unknown, $tests, $row, $founds);
    }

    /**
     * What may be put right later too: who, when, how sure, who confirmed, remarks.
     *
     * @return array<string, mixed>
     */
    public function details(Fields $in, ?Ground $ground): array
    {
        $at = $in->momentOrNull('at');
        if ($at !== null && $at > $this->clock->now()->modify('+' . self::AHEAD_MINUTES . ' minutes')) {
            $in->fault('at', 'This is still to come; say when it was seen.');
        }
        $confirmer = $in->textOrNull('confirmer', 160);
        $today = $this->clock->today($ground->time_zone ?? 'UTC');

        return array_filter(
            ['seen_at' => $at?->setTimezone(new \DateTimeZone('UTC'))],
            static fn($v): bool => $v !== null,
        ) + [
            'confidence' => $in->choiceOrNull('confidence', Sighting::CONFIDENCE) ?? 'likely',
            'observer' => $in->textOrNull('observer', 120),
            'confirmer' => $confirmer,
            'confirmed_on' => $confirmer === null ? null : $in->pastDayOrNull('confirmedOn', $today) ?? $today,
            'remarks' => $in->textOrNull('remarks', 2000),
        ];
    }

    /** @return array<string, mixed> columns of the point; empty where none was given */
    public function point(Fields $in, Ground $ground): array
    {
        $shape = $ground->shapes()->shape($in, 'point');
        $accuracy = $in->has('accuracyMetres') ? $in->decimal('accuracyMetres', '0', '10000') : null;
        if ($shape === null) {
            return [];
        }
        if ($shape->type !== 'Point') {
            $in->fault('point', 'Give a GeoJSON Point.');
        }
        [$longitude, $latitude] = $shape->parts[0][0];

        return [
            'longitude' => number_format($longitude, 7, '.', ''),
            'latitude' => number_format($latitude, 7, '.', ''),
            'accuracy_m' => $accuracy,
        ];
    }

    private function patch(Fields $in, User $user): ?Patch
    {
        $id = $in->uuidOrNull('patch');
        $patch = $id === null ? null : Patch::query()->ofCrew($user)->with('ground')->find($id);
        $id !== null && $patch === null && $in->fault('patch', 'There is no such patch.');

        return $patch;
    }

    private function ground(Fields $in, User $user, ?Patch $patch): ?Ground
    {
        $id = $in->uuidOrNull('ground');
        if ($patch !== null) {
            $id !== null && $id !== $patch->ground_id && $in->fault('ground', 'This patch lies on another ground.');

            return $patch->ground;
        }
        $ground = $id === null ? null : Ground::query()->ofCrew($user)->find($id);
        $ground ??
            $in->fault('ground', $id === null ? 'Say where it was: a ground, or a patch.' : 'There is no such ground.');

        return $ground;
    }

    /** @return list<array{pair: string, test?: string, points: string, by?: string}> */
    private function tests(Fields $in, ?string $species): array
    {
        $tests = [];
        foreach ($in->objects('tests', 20) as $item) {
            $tests[] = $item->has('confirmedBy') ? $this->confirmed($item, $species) : $this->test($item);
        }

        return array_values(array_filter($tests));
    }

    /** @return array{pair: string, test: string, points: string}|null */
    private function test(Fields $item): ?array
    {
        $pairId = $item->text('pair', 130);
        $testId = $item->text('test', 60);
        $answer = $item->choice('answer', ['yes', 'no']);
        $item->noOthers();
        foreach ($this->pair((string) $pairId)?->tests() ?? [] as $test) {
            if ($test->id() === $testId && $answer !== null) {
                return [
                    'pair' => (string) $pairId,
                    'test' => $testId,
                    'points' => $test->pointsTo($answer),
                ];
            }
        }

        return $item->fault('test', 'There is no such test for this pair.');
    }

    /** @return array{pair: string, points: string, by: string}|null somebody who knows looked at it */
    private function confirmed(Fields $item, ?string $species): ?array
    {
        $pairId = (string) $item->text('pair', 130);
        $by = $item->text('confirmedBy', 160);
        $item->noOthers();
        $pair = $this->pair($pairId);
        if ($pair === null || $species === null || !$pair->has($species)) {
            return $item->fault('pair', 'This pair does not hold the plant that is named.');
        }

        return $by === null ? null : ['pair' => $pairId, 'points' => $species, 'by' => $by];
    }

    private function pair(string $id): ?LookAlike
    {
        $first = explode('--', $id)[0];
        foreach ($this->catalogue->hasSpecies($first) ? $this->catalogue->lookAlikesOf($first) : [] as $pair) {
            if ($pair->id() === $id) {
                return $pair;
            }
        }

        return null;
    }
}
