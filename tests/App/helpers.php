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

/**
 * Trees of heaven with a sheet that is out: basal bark in oil, every gate open.
 *
 * @return array{string, string} stand and sheet
 */
function issuedTrees(Tests\AppTestCase $t): array
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
    $t->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '3 in', 'count' => 12]]])->assertOk();
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

    return [
        $stand,
        $t
            ->api('POST', "/stands/{$stand}/sheets")
            ->assertCreated()
            ->json('id'),
    ];
}
