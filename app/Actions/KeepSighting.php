<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Patch;
use App\Models\Sighting;
use App\Models\Stand;
use App\Models\User;
use App\Resources\KeyResource;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Key;

/**
 * Keeps one sighting: of a stand, which it names, or free at a point or on a patch, where it may found a stand. The
 * ranking is kept as it was shown.
 */
final class KeepSighting
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
        private readonly KeyResource $keyResource,
    ) {}

    /** @return Sighting the new row */
    public function __invoke(GivenSighting $given, User $user, ?Stand $stand): Sighting
    {
        [$species, $sight, $tests, $row] = [$given->species, $given->sight, $given->tests, $given->row];
        $ground = $given->ground ?? throw new \LogicException('A sighting without a ground passed the checks.');
        if ($given->id !== null && Sighting::query()->whereKey($given->id)->exists()) {
            throw \Thicket\Input\Refused::at('/id', 'This id is taken; make a new one.');
        }
        // tests made for the same name hold on: one look-alike may be ruled out today, another tomorrow
        if ($stand !== null && $species !== null && $species === $stand->species) {
            $again = array_column($tests, 'pair');
            $tests = [
                ...array_values(
                    array_filter(
                        $stand->sighting->tests ?? [],
                        static fn(array $t): bool => !in_array($t['pair'], $again, true),
                    ),
                ),
                ...$tests,
            ];
        }
        $last = $stand?->sighting;
        if (
            $last !== null &&
            $species !== null &&
            $species === $last->species &&
            $tests !== [] &&
            $sight->toWire() == $last->seen
        ) {
            // a test made of what was named before is a further fact of that sighting, not another one
            $last
                ->forceFill(
                    ['tests' => $tests, 'revision' => $last->revision + 1] +
                        ($row['confirmer'] === null
                            ? []
                            : ['confirmer' => $row['confirmer'], 'confirmed_on' => $row['confirmed_on']]),
                )
                ->save();
            $stand?->forceFill(['revision' => $stand->revision + 1])->save();

            return $last;
        }
        $row['seen_at'] ??= $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $day = JobClock::dayOf($row['seen_at'], $ground->time_zone);
        $ranked = $this->keyResource->candidates((new Key($this->catalogue))->rank($sight, $ground->showing($day)));

        return DB::transaction(function () use ($given, $user, $stand, $ground, $tests, $row, $ranked): Sighting {
            $stand ??=
                $given->founds && $given->patch !== null ? Stand::create(['patch_id' => $given->patch->id]) : null;
            $sighting = Sighting::create(
                array_filter(['id' => $given->id]) +
                    $row + [
                        'stand_id' => $stand?->id,
                        'patch_id' => $given->patch?->id,
                        'ground_id' => $ground->id,
                        'seen' => $given->sight->toWire(),
                        'ranked' => $ranked,
                        'tests' => $tests,
                        'species' => $given->species,
                        'confirmed_by' => $given->species === null ? null : $user->id,
                        'made_by' => $user->id,
                    ],
            );
            if ($stand !== null) {
                $stand
                    ->forceFill([
                        'species' => $given->species,
                        'marked_unknown' => $given->unknown,
                        'revision' => ($stand->revision ?? 1) + 1,
                    ])
                    ->save();
            }

            return $sighting;
        });
    }
}
