<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Photo;
use App\Models\Sighting;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;

final readonly class SightingResource
{
    public function __construct(private Catalogue $catalogue, private Sentences $sentences) {}

    /** @return array<string, mixed> */
    public function sighting(Sighting $sighting): array
    {
        // a name of an older catalogue is shown as it was kept
        $species =
            $sighting->species !== null && $this->catalogue->hasSpecies($sighting->species)
                ? $this->catalogue->species($sighting->species)
                : null;
        $zone = new \DateTimeZone($sighting->ground->time_zone);

        return [
            'id' => $sighting->id,
            'revision' => $sighting->revision,
            'standId' => $sighting->stand_id,
            'species' => $sighting->species,
            'name' =>
                $species === null
                    ? $sighting->species ?? $this->sentences->name('plant.unnamed')
                    : $this->sentences->called($species->commonName()),
            'scientific' => $species?->scientificName() ?? '',
            'ground' => ['id' => $sighting->ground_id, 'name' => $sighting->ground->name],
            'patch' =>
                $sighting->patch === null ? null : ['id' => $sighting->patch->id, 'name' => $sighting->patch->name],
            'point' =>
                $sighting->longitude === null || $sighting->latitude === null
                    ? null
                    : ['type' => 'Point', 'coordinates' => [(float) $sighting->longitude, (float) $sighting->latitude]],
            'accuracyMetres' => $sighting->accuracy_m,
            'at' => \DateTimeImmutable::createFromInterface($sighting->seen_at)
                ->setTimezone($zone)
                ->format(\DATE_RFC3339),
            'madeBy' => $sighting->maker->name,
            'observer' => $sighting->observer,
            'confidence' => $sighting->confidence,
            'confirmer' => $sighting->confirmer,
            'confirmedOn' => Format::day($sighting->confirmed_on),
            'remarks' => $sighting->remarks,
            'seen' => $this->seen($sighting->seen),
            'couldBe' => array_map(
                static fn(array $c): array => [
                    'name' => is_string($c['name'] ?? null) ? $c['name'] : '',
                    'percent' => is_int($c['percent'] ?? null) ? $c['percent'] : 0,
                ],
                array_slice($sighting->ranked, 0, 3),
            ),
            'tests' => array_map($this->test(...), $sighting->tests),
            'photos' => $sighting->photos
                ->map(
                    static fn(Photo $p): array => [
                        'id' => $p->id,
                        'width' => $p->width,
                        'height' => $p->height,
                        'takenAt' => $p->taken_at?->format('Y-m-d H:i'),
                    ],
                )
                ->values()
                ->all(),
        ];
    }

    /**
     * @param array<string, string|list<string>> $seen
     *
     * @return list<array{id: string, states: list<string>}> state names; characters by id
     */
    public function seen(array $seen): array
    {
        $out = [];
        foreach ($seen as $character => $states) {
            $out[] = [
                'id' => (string) $character,
                'states' => array_map(fn(string $s): string => $this->sentences->name("state.{$s}"), (array) $states),
            ];
        }

        return $out;
    }

    /**
     * @param array{pair: string, test?: string, points: string, by?: string} $test
     *
     * @return array{other: string, by: string|null}
     */
    private function test(array $test): array
    {
        $other = array_values(array_diff(explode('--', $test['pair']), [$test['points']]))[0] ?? '';

        return [
            'other' => $this->catalogue->hasSpecies($other)
                ? $this->sentences->called($this->catalogue->species($other)->commonName())
                : $other,
            'by' => $test['by'] ?? null,
        ];
    }
}
