<?php

declare(strict_types=1);

namespace Tests\Live;

/** Made-up work, ready for what a test wants to do to it. */
final readonly class Field
{
    private function __construct(
        public Visitor $lead,
        public string $ground,
        public string $patch,
        public string $stand,
        public string $step,
    ) {}

    /** A stand with every gate open and nothing issued: trees to be treated by basal bark, the recipe saved. */
    public static function ready(Visitor $lead): self
    {
        $ground = $lead
            ->must(201, 'POST', '/grounds', [
                'name' => 'Fernshaw',
                'latitude' => '44.1',
                'longitude' => '-71.2',
                'elevation' => '690 ft',
                'timeZone' => 'Etc/GMT+5',
            ])
            ->json('id');
        $ring = [[-71.2, 44.1], [-71.199, 44.1], [-71.199, 44.1005], [-71.2, 44.1005], [-71.2, 44.1]];
        $patch = $lead
            ->must(201, 'POST', "/grounds/{$ground}/patches", [
                'name' => 'Lane edge',
                'setting' => 'woods',
                'outline' => ['type' => 'Polygon', 'coordinates' => [$ring]],
            ])
            ->json('id');
        $stand = $lead->must(201, 'POST', "/patches/{$patch}/stands")->json('id');
        $lead->must(201, 'POST', "/stands/{$stand}/sightings", [
            'seen' => ['habit' => 'tree'],
            'species' => 'tree-of-heaven',
            'tests' => [['pair' => 'tree-of-heaven--winged-sumac', 'test' => 'leaflet-notch', 'answer' => 'yes']],
        ]);
        $lead->must(200, 'PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '3 in', 'count' => 12]]]);
        $lead->must(201, 'POST', "/patches/{$patch}/observations", [
            'facts' => [
                ['fact' => 'bark-texture', 'value' => 'smooth'],
                ['fact' => 'bark-wetness', 'value' => 'dry'],
                ['fact' => 'grass-at-base', 'value' => false],
            ],
        ]);
        $rows = $lead->must(200, 'GET', "/stands/{$stand}/board")->json('rows');
        $row = array_values(
            array_filter(
                $rows,
                static fn(array $r): bool => $r['method']['id'] === 'basal-bark' && $r['card'] !== null,
            ),
        )[0];
        $revision = $lead->must(200, 'GET', "/stands/{$stand}")->headers['etag'];
        $step = $lead
            ->must(
                200,
                'PUT',
                "/stands/{$stand}/step",
                ['method' => 'basal-bark', 'active' => 'triclopyr-ester', 'cardVersionId' => $row['card']['versionId']],
                ['If-Match' => $revision],
            )
            ->json('step.id');
        $recipe = $lead->must(200, 'GET', "/steps/{$step}/recipe");
        $lead->must(200, 'PUT', "/steps/{$step}/recipe", [], ['If-Match' => $recipe->headers['etag']]);

        $lead->must(201, 'POST', "/stands/{$stand}/duties", [
            'kind' => 'owner',
            'state' => 'done',
            'who' => 'Hester Fernshaw',
            'on' => '2026-08-01',
            'boundaryChecked' => true,
        ]);

        return new self($lead, $ground, $patch, $stand, $step);
    }

    public function issue(): string
    {
        return $this->lead->must(201, 'POST', "/stands/{$this->stand}/sheets")->json('id');
    }

    /** @return array<string, mixed> what is signed for a day's work here */
    public static function work(): array
    {
        return [
            'workedOn' => '2026-09-03',
            'start' => '09:30',
            'stop' => '12:00',
            'people' => ['Ada Thornbury'],
            'treated' => 12,
            'mixUsed' => '0.3 L',
            'weather' => 'dry',
            'wind' => '3 mph',
            'temperature' => '66 F',
        ];
    }
}
