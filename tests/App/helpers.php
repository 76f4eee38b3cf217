<?php

declare(strict_types=1);

use App\Models\Stand;
use App\Models\Step;

/** @return array<string, mixed> */
function shelf(Tests\AppTestCase $t, string $lot): array
{
    return collect($t->api('GET', '/shed')->json('stock'))->firstWhere('lot', $lot) ?? [];
}

/** The Norway maples of the demo with a recipe saved: basal bark in oil. */
function maples(Tests\AppTestCase $t): Step
{
    $t->as();
    $step = Stand::query()->findOrFail($t->standId('norway-maple'))->steps()->firstOrFail();
    $recipe = $t->api('GET', "/steps/{$step->id}/recipe?dye=0.25 fl oz/gal")->assertOk();
    $t->api(
        'PUT',
        "/steps/{$step->id}/recipe",
        ['dye' => '0.25 fl oz/gal'],
        ['If-Match' => $recipe->headers->get('ETag')],
    )
        ->assertOk()
        ->assertJsonPath('saved', true);

    return $step;
}

/** The owner of a stand's ground agrees, as far as the gates ask. */
function ownerAgrees(Tests\AppTestCase $t, string $stand): void
{
    $t->api('POST', "/stands/{$stand}/duties", [
        'kind' => 'owner',
        'state' => 'done',
        'who' => 'Hester Fernshaw',
        'on' => '2026-08-01',
        'boundaryChecked' => true,
        'wholeGround' => true,
    ])->assertCreated();
}

/**
 * Trees of heaven with a sheet that is out: basal bark in oil, every gate open.
 *
 * @return array{string, string} stand and sheet
 */
function issuedTrees(Tests\AppTestCase $t, string $diameter = '3 in'): array
{
    $ground = $t
        ->api('POST', '/grounds', [
            'name' => 'Fernshaw',
            'latitude' => '44.1',
            'longitude' => '-71.2',
            'elevation' => '690 ft',
            'timeZone' => App\Models\Ground::query()->value('time_zone'),
        ])
        ->assertCreated()
        ->json('id');
    $ring = [[-71.2, 44.1], [-71.199, 44.1], [-71.199, 44.1005], [-71.2, 44.1005], [-71.2, 44.1]];
    $patch = $t
        ->api('POST', "/grounds/{$ground}/patches", [
            'name' => 'Lane edge',
            'setting' => 'woods',
            'outline' => ['type' => 'Polygon', 'coordinates' => [$ring]],
        ])
        ->assertCreated()
        ->json('id');
    $stand = $t
        ->api('POST', "/patches/{$patch}/stands")
        ->assertCreated()
        ->json('id');
    $t->api('POST', "/stands/{$stand}/sightings", [
        'seen' => ['habit' => 'tree'],
        'species' => 'tree-of-heaven',
        'tests' => [['pair' => 'tree-of-heaven--winged-sumac', 'test' => 'leaflet-notch', 'answer' => 'yes']],
    ])->assertCreated();
    $t->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => $diameter, 'count' => 12]]])->assertOk();
    $t->api('POST', "/patches/{$patch}/observations", [
        'facts' => [
            ['fact' => 'bark-texture', 'value' => 'smooth'],
            ['fact' => 'bark-wetness', 'value' => 'dry'],
            ['fact' => 'grass-at-base', 'value' => false],
        ],
    ])->assertCreated();
    $row = collect($t->api('GET', "/stands/{$stand}/board")->json('rows'))->first(
        fn(array $r): bool => $r['method']['id'] === 'basal-bark' && $r['card'] !== null,
    );
    $revision = $t->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $step = $t
        ->api(
            'PUT',
            "/stands/{$stand}/step",
            ['method' => 'basal-bark', 'active' => 'triclopyr-ester', 'cardVersionId' => $row['card']['versionId']],
            ['If-Match' => $revision],
        )
        ->assertOk()
        ->json('step.id');
    $t->api(
        'PUT',
        "/steps/{$step}/recipe",
        [],
        ['If-Match' => $t->api('GET', "/steps/{$step}/recipe")->headers->get('ETag')],
    )->assertOk();

    ownerAgrees($t, $stand);

    return [
        $stand,
        $t
            ->api('POST', "/stands/{$stand}/sheets")
            ->assertCreated()
            ->json('id'),
    ];
}

/**
 * Weather that is mild, dry and half clouded on every ground, but for what an hour (UTC, '2026-09-03T15') changes.
 *
 * @param array<string, array<string, mixed>> $changes
 */
function mildWeather(array $changes = []): void
{
    app()->instance(
        App\Weather\WeatherPort::class,
        new class ($changes) implements App\Weather\WeatherPort {
            /** @param array<string, array<string, mixed>> $changes */
            public function __construct(private array $changes) {}

            public function of(App\Models\Ground $ground): Thicket\Weather\Forecast
            {
                $now = app(App\Support\JobClock::class)->now();
                $mild = ['airC' => 20, 'humidityPct' => 55, 'windMs' => 2.5, 'gustMs' => 4, 'windFromDeg' => 270];
                $mild += ['rainMm' => 0, 'rainChancePct' => 5, 'cloudPct' => 60, 'snowCm' => 0, 'soilC' => 18];
                $hours = [];
                for ($i = -48; $i < 264; ++$i) {
                    $at = $now->setTimestamp(Thicket\Weather\Forecast::begin($now) + 3600 * $i);
                    $hours[] = ['at' => $at->format('Y-m-d\TH:i:s\Z')] +
                        ($this->changes[$at->format('Y-m-d\TH')] ?? []) +
                        $mild + ['topsoilC' => 18];
                }

                return Thicket\Weather\ForecastReader::read(
                    ['issued' => $now->format('Y-m-d\TH:i:s\Z'), 'source' => 'test', 'hours' => $hours],
                    $now,
                );
            }
        },
    );
}
