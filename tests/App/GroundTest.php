<?php

declare(strict_types=1);

use App\Models\Ground;
use App\Models\Patch;
use App\Models\ProtectedFeature;
use App\Models\Stand;
use Thicket\Survey\LocalPlane;

/** @return array{ground: string, patch: string, outline: array<string, mixed>} a field of 60 x 40 m at a new ground */
function field(Tests\AppTestCase $test): array
{
    $ground = $test
        ->api('POST', '/grounds', [
            'name' => 'Fernshaw',
            'latitude' => '44.1',
            'longitude' => '-71.2',
            'elevation' => '210 m',
            'timeZone' => 'Etc/GMT+5',
        ])
        ->json('id');
    $outline = metres('Polygon', [[0, 0], [60, 0], [60, 40], [0, 40]]);
    $patch = $test
        ->api('POST', "/grounds/{$ground}/patches", ['name' => 'Field', 'setting' => 'pasture', 'outline' => $outline])
        ->assertCreated()
        ->json('id');

    return ['ground' => $ground, 'patch' => $patch, 'outline' => $outline];
}

/** @return array<string, mixed> GeoJSON from metres at 71.2 W, 44.1 N */
function metres(string $type, array $points): array
{
    $at = (new LocalPlane([-71.2, 44.1]))->allPositions(
        array_map(static fn(array $p): array => [(float) $p[0], (float) $p[1]], $points),
    );

    return [
        'type' => $type,
        'coordinates' => match ($type) {
            'Point' => $at[0],
            'LineString' => $at,
            default => [[...$at, $at[0]]],
        },
    ];
}

function area(Illuminate\Testing\TestResponse $response): float
{
    return (float) $response->json('area.value');
}

it('keeps every outline, and says what held on a day', function () {
    $this->as();
    ['patch' => $id] = field($this);
    $this->api('PATCH', "/patches/{$id}", ['name' => 'x'])->assertStatus(428);
    expect(
        area(
            $this->api(
                'PATCH',
                "/patches/{$id}",
                ['outline' => metres('Polygon', [[0, 0], [80, 0], [80, 40], [0, 40]]), 'how' => 'walked'],
                ['If-Match' => '"1"'],
            )->assertOk(),
        ),
    )->toEqualWithDelta(3200, 1);
    // an older outline that somebody finds later becomes history, not the present
    expect(
        area(
            $this->api(
                'PATCH',
                "/patches/{$id}",
                ['outline' => metres('Polygon', [[0, 0], [20, 0], [20, 40], [0, 40]]), 'validFrom' => '2024-05-01'],
                ['If-Match' => '"2"'],
            )->assertOk(),
        ),
    )->toEqualWithDelta(3200, 1);
    expect(
        $this->api('GET', "/patches/{$id}/outlines")
            ->assertJsonCount(3, 'data')
            ->json('data.0.how'),
    )
        ->toBe('walked')
        ->and(
            (float) $this->api('GET', "/patches/{$id}/outlines?on=2025-01-01")
                ->assertJsonCount(1, 'data')
                ->json('data.0.area.value'),
        )
        ->toEqualWithDelta(800, 1)
        ->and($this->api('GET', "/patches/{$id}/outlines?on=2020-01-01")->json('data'))
        ->toBe([]);
    $this->api('PATCH', "/patches/{$id}", ['name' => 'y'], ['If-Match' => '"2"'])
        ->assertStatus(412)
        ->assertJsonPath('current.name', 'Field');
});

it('cuts and joins patches with their stands, cuts holes, and puts them away', function () {
    $this->as();
    ['ground' => $ground, 'patch' => $id] = field($this);
    $split = $this->api(
        'POST',
        "/patches/{$id}/split",
        ['line' => metres('LineString', [[20, -5], [20, 45]]), 'name' => 'West piece'],
        ['If-Match' => '"1"'],
    )->assertOk();
    expect(area($split))->toEqualWithDelta(1600, 1)->and($split->json('made'))->toHaveCount(1);
    $piece = $split->json('made.0');
    $stand = $this->api('POST', "/patches/{$piece}/stands")
        ->assertCreated()
        ->json('id');
    $this->api(
        'POST',
        "/patches/{$id}/split",
        ['line' => metres('LineString', [[200, -5], [200, 45]]), 'name' => 'x'],
        ['If-Match' => '"2"'],
    )
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/line');
    $joined = $this->api('POST', "/patches/{$id}/merge", ['patches' => [$piece]], ['If-Match' => '"2"'])->assertOk();
    expect(area($joined))->toEqualWithDelta(2400, 1)->and($joined->json('stands.0.id'))->toBe($stand);
    $this->api('GET', "/patches/{$piece}")
        ->assertJsonPath('archived', true)
        ->assertJsonPath('archivedReason', 'Joined into Field');
    expect(
        area(
            $this->api(
                'POST',
                "/patches/{$id}/hole",
                ['hole' => metres('Polygon', [[20, 10], [30, 10], [30, 20], [20, 20]])],
                ['If-Match' => '"3"'],
            )->assertOk(),
        ),
    )->toEqualWithDelta(2300, 1);
    $this->api('POST', "/patches/{$id}/archive", ['archived' => true], ['If-Match' => '"4"'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/reason');
    $this->api(
        'POST',
        "/patches/{$id}/archive",
        ['archived' => true, 'reason' => 'sold'],
        ['If-Match' => '"4"'],
    )->assertOk();
    $this->api('GET', "/grounds/{$ground}/patches")->assertJsonPath('total', 0);
    $this->api('GET', "/grounds/{$ground}/patches?archived=yes&sort=area&order=desc")
        ->assertJsonPath('total', 2)
        ->assertJsonPath('data.0.archivedReason', 'sold');
    $this->api('POST', "/patches/{$id}/archive", ['archived' => false], ['If-Match' => '"5"'])
        ->assertOk()
        ->assertJsonPath('archived', false);
});

it('pages, sorts and filters the list on the server', function () {
    $this->as();
    ['ground' => $ground] = field($this);
    foreach (['Birch end', 'Alder end', '100% corner'] as $i => $name) {
        $this->api('POST', "/grounds/{$ground}/patches", [
            'name' => $name,
            'setting' => 'woods',
            'outline' => metres('Polygon', [[100 * $i + 100, 0], [100 * $i + 110 + $i, 0], [100 * $i + 110, 10]]),
        ])->assertCreated();
    }
    $names = fn(string $query): array => array_column(
        $this->api('GET', "/grounds/{$ground}/patches?{$query}")
            ->assertOk()
            ->json('data'),
        'name',
    );
    expect($names('sort=area&order=desc'))
        ->toBe(['Field', '100% corner', 'Alder end', 'Birch end'])
        ->and($names('perPage=2&page=2'))
        ->toBe(['Birch end', 'Field'])
        ->and($names('setting=pasture'))
        ->toBe(['Field'])
        ->and($names('q=end&sort=name'))
        ->toBe(['Alder end', 'Birch end'])
        // a percent sign is a letter here, not a wildcard
        ->and($names('q=' . urlencode('0% c')))
        ->toBe(['100% corner']);
    foreach (['page=0', 'perPage=201', 'sort=owner', 'setting=moon', 'colour=red'] as $bad) {
        $this->api('GET', "/grounds/{$ground}/patches?{$bad}")->assertStatus(422);
    }
});

it('turns drawn things into distance, direction and root reach, and these into the facts of the board', function () {
    $this->as();
    ['ground' => $ground, 'patch' => $id] = field($this);
    $well = $this->api('POST', "/grounds/{$ground}/keepers", [
        'kind' => 'well',
        'name' => 'old well',
        'shape' => metres('Point', [[72, 20]]),
    ])->assertCreated();
    $this->api('POST', "/grounds/{$ground}/keepers", [
        'kind' => 'tree',
        'name' => 'big oak',
        'shape' => metres('Point', [[30, 49]]),
        'height' => '15 m',
        'crownRadius' => '4 m',
    ])->assertCreated();
    $this->api('POST', "/grounds/{$ground}/keepers", [
        'kind' => 'path',
        'name' => 'far path',
        'shape' => metres('LineString', [[-1500, -900], [-1500, 900]]),
    ])->assertCreated();
    $near = $this->api('GET', "/patches/{$id}")->json('keepers');
    expect(array_column($near, 'name'))
        ->toBe(['big oak', 'old well'])
        ->and((float) $near[0]['distance']['value'])
        ->toEqualWithDelta(9, 0.02)
        ->and($near[0]['bearing']['name'])
        ->toBe('north')
        ->and($near[0]['inRootReach'])
        ->toBeTrue()
        ->and($near[0]['source'])
        ->toBe('map')
        ->and((float) $near[1]['distance']['value'])
        ->toEqualWithDelta(12, 0.02)
        ->and($near[1]['bearing']['degrees'])
        ->toBe('90')
        ->and($near[1]['inRootReach'])
        ->toBeNull();

    expect(array_column($near, 'downwind'))->toBe([null, null]);
    $windy = $this->api('POST', "/patches/{$id}/observations", [
        'facts' => [['fact' => 'wind-from', 'value' => 'west']],
    ])
        ->assertCreated()
        ->json('keepers');
    expect(array_column($windy, 'downwind', 'name'))->toBe(['big oak' => false, 'old well' => true]);

    // ester in oil within 30 m of a well is closed; with the well put away it is not closed by water
    $stand = $this->api('POST', "/patches/{$id}/stands")->json('id');
    $this->api('POST', "/stands/{$stand}/sightings", ['seen' => [], 'species' => 'bush-honeysuckle'])->assertCreated();
    $this->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '2 in', 'count' => 5]]])->assertOk();
    $codes = function () use ($stand): array {
        $row = collect($this->api('GET', "/stands/{$stand}/board")->json('rows'))->first(
            fn(array $r): bool => $r['method']['id'] === 'basal-bark' && $r['card'] !== null,
        );

        return array_column($this->boardRow($stand, $row['id'])['findings'], 'code');
    };
    expect($codes())->toContain('water.outside-buffer');
    $moved = $this->api(
        'PUT',
        "/keepers/{$well->json('id')}",
        ['kind' => 'well', 'name' => 'old well', 'shape' => metres('Point', [[64, 20]])],
        ['If-Match' => '"1"'],
    )->assertOk();
    expect($codes())->toContain('water.oil-near');
    $this->api('DELETE', "/keepers/{$well->json('id')}", [], ['If-Match' => '"1"'])
        ->assertStatus(412)
        ->assertJsonPath('current.revision', $moved->json('revision'));
    $this->api('DELETE', "/keepers/{$well->json('id')}", [], ['If-Match' => '"2"'])->assertOk();
    expect(implode(' ', $codes()))->not->toContain('water.');
});

it('draws few corners where many patches are seen, and only what lies in the picture', function () {
    $this->as();
    ['ground' => $ground, 'patch' => $id, 'outline' => $outline] = field($this);
    $near = implode(',', [-71.21, 44.09, -71.19, 44.11]);
    $map = $this->api('GET', "/grounds/{$ground}/map?box={$near}")
        ->assertOk()
        ->assertJsonPath('detail', 'full')
        ->assertJsonPath('patches.0.shape', $outline);
    $this->api('GET', "/grounds/{$ground}/map?box=-70.5,44.09,-70.4,44.11")->assertJsonCount(0, 'patches');
    $this->api('GET', "/grounds/{$ground}/map?box=here")->assertStatus(422);
    $again = $this->call(
        'GET',
        "/api/v1/grounds/{$ground}/map?box={$near}",
        [],
        [],
        [],
        $this->transformHeadersToServerVars([
            'If-None-Match' => (string) $map->headers->get('ETag'),
            'Referer' => config('app.url'),
            'Accept' => 'application/json',
        ]),
    );
    expect($again->getStatusCode())->toBe(304);
    $one = App\Models\PatchOutline::query()->where('patch_id', $id)->firstOrFail();
    for ($i = 0; $i < 251; ++$i) {
        $patch = Patch::create(['ground_id' => $ground, 'name' => "p{$i}", 'setting' => 'woods']);
        app(App\Actions\KeepOutline::class)(
            $patch,
            Thicket\Survey\Outline::trusted($one->outline['coordinates']),
            new DateTimeImmutable('2026-01-01'),
            null,
            'drawn',
        );
    }
    $this->api('GET', "/grounds/{$ground}/map")
        ->assertJsonPath('detail', 'coarse')
        ->assertJsonCount(252, 'patches');
});

it('works out shapes from what was measured on the ground', function (
    array $given,
    float $squareMetres,
    ?string $note,
) {
    $this->as();
    $body = ['ground' => field($this)['ground']] + $given;
    $traced = $this->api('POST', '/outlines', $body)->assertOk();
    expect(area($traced))
        ->toEqualWithDelta($squareMetres, $squareMetres / 500)
        ->and($traced->json('notes.0.code'))
        ->toBe($note);
})->with([
    'a circle' => [['circle' => ['centre' => [-71.2, 44.1], 'radius' => '10 m']], 314.16, null],
    'a rectangle by paces' => [
        [
            'rectangle' => [
                'corner' => [-71.2, 44.1],
                'pace' => '0.8 m',
                'length' => '50 paces',
                'width' => '20',
                'bearing' => '45',
            ],
        ],
        640.0,
        null,
    ],
    'legs by compass' => [
        [
            'legs' => [
                'start' => [-71.2, 44.1],
                'legs' => [
                    ['length' => '40 m', 'bearing' => '0'],
                    ['length' => '30 m', 'bearing' => '90'],
                    ['length' => '40 m', 'bearing' => '180'],
                    ['length' => '30 m', 'bearing' => '270'],
                ],
            ],
        ],
        1200.0,
        'misclosure',
    ],
    'a swapped polygon' => [
        ['polygon' => ['type' => 'Polygon', 'coordinates' => [[[44.1, -71.2], [44.1, -71.199], [44.101, -71.199]]]]],
        4449.0,
        'swapped',
    ],
    'a track' => [
        [
            'gpx' =>
                '<gpx><trk><trkseg><trkpt lat="44.1" lon="-71.2"/><trkpt lat="44.1" lon="-71.199"/><trkpt ' .
                'lat="44.101" lon="-71.199"/></trkseg></trk></gpx>',
        ],
        4449.0,
        'walked',
    ],
]);

it('shows what a file would bring, takes all of it or nothing, and gives it back equal', function () {
    $this->as();
    ['ground' => $ground] = field($this);
    $kml =
        '<kml xmlns="http://www.opengis.net/kml/2.2"><Document>' .
        '<Placemark><name>Mill leat</name><ExtendedData><Data name="owner"><value>the trust</value></Data>' .
        '</ExtendedData><LineString><coordinates>-71.2,44.101 -71.198,44.1012</coordinates></LineString></Placemark>' .
        '<Placemark><name>Bad one</name><Point><coordinates>west,44.1</coordinates></Point></Placemark>' .
        '<Placemark><name>Far one</name><Point><coordinates>10.0,50.0</coordinates></Point></Placemark>' .
        '<Placemark><name>North acre</name><Polygon><outerBoundaryIs><LinearRing><coordinates>-71.2,44.102 ' .
        '-71.199,44.102 -71.199,44.103 ' .
        '-71.2,44.102</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Document></kml>';
    $preview = $this->api('POST', "/grounds/{$ground}/imports/preview", ['text' => $kml])
        ->assertOk()
        ->assertJsonPath('format', 'kml')
        ->assertJsonPath('bad', 2);
    expect(array_column($preview->json('rows'), 'as'))
        ->toBe(['keeper', 'leave', 'leave', 'patch'])
        ->and($preview->json('rows.1.fault'))
        ->toContain('west,44.1')
        ->and($preview->json('rows.2.fault'))
        ->toContain('km from the ground');
    $rows = [
        ['entry' => 0, 'as' => 'keeper', 'name' => 'Mill leat', 'kind' => 'stream'],
        ['entry' => 1, 'as' => 'keeper', 'name' => 'Bad one', 'kind' => 'well'],
        ['entry' => 2, 'as' => 'keeper', 'name' => 'Far one', 'kind' => 'well'],
        ['entry' => 3, 'as' => 'patch', 'name' => 'North acre', 'setting' => 'woods'],
    ];
    $before = [Patch::query()->count(), ProtectedFeature::query()->count()];
    $refused = $this->api('POST', "/grounds/{$ground}/imports", ['text' => $kml, 'rows' => $rows])->assertStatus(422);
    expect(array_column($refused->json('errors'), 'pointer'))
        ->toBe(['/rows/1/entry', '/rows/2/entry'])
        ->and([Patch::query()->count(), ProtectedFeature::query()->count()])
        ->toBe($before);
    $rows[1] = ['entry' => 1, 'as' => 'leave'];
    $rows[2] = ['entry' => 2, 'as' => 'leave'];
    $this->api('POST', "/grounds/{$ground}/imports", ['text' => $kml, 'rows' => $rows])
        ->assertCreated()
        ->assertExactJson(['patches' => 1, 'keepers' => 1, 'left' => 2]);
    // the same file again: what is here already is offered to be left
    expect(
        array_column($this->api('POST', "/grounds/{$ground}/imports/preview", ['text' => $kml])->json('rows'), 'same'),
    )->toBe(['Mill leat', null, null, 'North acre']);

    foreach (['geojson', 'gpx', 'kml', 'csv'] as $format) {
        $file = (string) $this->api('GET', "/grounds/{$ground}/export?format={$format}")
            ->assertOk()
            ->getContent();
        $back = $this->api('POST', "/grounds/{$ground}/imports/preview", ['text' => $file])->assertOk();
        $bySame = collect($back->json('rows'))->keyBy('name');
        expect($bySame->keys()->sort()->values()->all())
            ->toBe(['Field', 'Mill leat', 'North acre'])
            ->and($bySame['Field']['same'])
            ->toBe('Field')
            ->and($bySame['Mill leat']['same'])
            ->toBe('Mill leat')
            ->and($bySame['Mill leat']['kind'])
            ->toBe('stream')
            ->and($bySame['Mill leat']['properties'])
            ->toBe(1)
            ->and($bySame['Field']['setting'])
            ->toBe('pasture');
    }
});

it('tells how far an import is, and keeps nothing of one that is stopped', function () {
    $this->as();
    ['ground' => $ground] = field($this);
    $points = array_map(
        static fn(int $n): array => [
            'type' => 'Feature',
            'properties' => ['name' => "Oak {$n}"],
            'geometry' => ['type' => 'Point', 'coordinates' => [-71.2, 44.1]],
        ],
        range(1, 45),
    );
    $body = [
        'text' => json_encode(['type' => 'FeatureCollection', 'features' => $points]),
        'rows' => array_map(
            static fn(int $n): array => ['entry' => $n, 'as' => 'keeper', 'name' => "Oak {$n}", 'kind' => 'tree'],
            range(0, 44),
        ),
    ];
    $before = ProtectedFeature::query()->count();
    $key = ['Idempotency-Key' => (string) Illuminate\Support\Str::uuid7()];
    $this->api('GET', "/imports/{$key['Idempotency-Key']}")->assertNotFound();
    // somebody looks on while it runs, and stops it after the first rows
    $seen = [];
    Illuminate\Support\Facades\Event::listen(function (Illuminate\Cache\Events\KeyWritten $e) use (&$seen, $key) {
        if (str_starts_with($e->key, 'import.') && is_array($e->value)) {
            $seen[] = $e->value;
            $e->value['done'] === 20 &&
                App\Support\ImportProgress::stop(explode('.', $e->key)[1], $key['Idempotency-Key']);
        }
    });
    $this->api('POST', "/grounds/{$ground}/imports", $body, $key)->assertStatus(409);
    expect($seen)
        ->toBe([['done' => 0, 'of' => 45], ['done' => 20, 'of' => 45]])
        ->and(ProtectedFeature::query()->count())
        ->toBe($before);
    $key = ['Idempotency-Key' => (string) Illuminate\Support\Str::uuid7()];
    $this->api('POST', "/grounds/{$ground}/imports", $body, $key)->assertCreated();
    $this->api('GET', "/imports/{$key['Idempotency-Key']}")
        ->assertOk()
        ->assertExactJson(['done' => 45, 'of' => 45]);
    expect(ProtectedFeature::query()->count())->toBe($before + 45);
});

it('matches the columns of a table', function () {
    $this->as();
    ['ground' => $ground] = field($this);
    $text = "baum,ost,nord\nold oak,-71.2,44.1\n";
    $this->api('POST', "/grounds/{$ground}/imports/preview", ['text' => $text])
        ->assertOk()
        ->assertJsonPath('headers', ['baum', 'ost', 'nord'])
        ->assertJsonPath('rows', [])
        ->assertJsonPath('needs', 'Say which columns hold longitude and latitude, or the geometry.');
    $this->api('POST', "/grounds/{$ground}/imports/preview", [
        'text' => $text,
        'columns' => ['name' => 'baum', 'longitude' => 'ost', 'latitude' => 'nord'],
    ])
        ->assertOk()
        ->assertJsonPath('rows.0.name', 'old oak')
        ->assertJsonPath('rows.0.type', 'Point');
});

it('reads what a file says of a kept thing like what people type', function () {
    $this->as();
    $ground = App\Models\Ground::query()->firstOrFail();
    $oak = fn(array $properties): array => [
        'text' => json_encode([
            'type' => 'Feature',
            'properties' => ['name' => 'old oak'] + $properties,
            'geometry' => ['type' => 'Point', 'coordinates' => [(float) $ground->longitude, (float) $ground->latitude]],
        ]),
        'rows' => [['entry' => 0, 'as' => 'keeper', 'name' => 'old oak', 'kind' => 'tree']],
    ];
    foreach (
        ['thicket_height' => 'a glug', 'thicket_crown_radius' => '900 m', 'thicket_species' => 'dragon']
        as $property => $value
    ) {
        $this->api('POST', "/grounds/{$ground->id}/imports", $oak([$property => $value]))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/rows/0/entry');
    }
    $this->api('POST', "/grounds/{$ground->id}/imports", $oak(['thicket_height' => '40 ft']))->assertCreated();
    $this->api('GET', "/grounds/{$ground->id}/map")->assertOk();
});

it('counts in plots by zone, adds them up, and a newer whole count sets them aside', function () {
    $this->as();
    ['patch' => $id] = field($this);
    $zones = $this->api('POST', "/patches/{$id}/zones", ['edgeWidth' => '5 m'])
        ->assertCreated()
        ->json('zones');
    $zone = array_column($zones, 'id', 'name');
    $stand = $this->api('POST', "/patches/{$id}/stands")->json('id');
    $this->api('POST', "/stands/{$stand}/sightings", ['seen' => [], 'species' => 'common-privet'])->assertCreated();
    $plan = $this->api('POST', "/stands/{$stand}/plot-plans", [
        'plots' => 4,
        'radius' => '3 m',
        'placement' => 'random',
        'seed' => 11,
        'zoneId' => $zone['Core'],
    ])
        ->assertCreated()
        ->assertJsonCount(4, 'plots');
    expect(
        $this->api('POST', "/stands/{$stand}/plot-plans", [
            'plots' => 4,
            'radius' => '3 m',
            'placement' => 'random',
            'seed' => 11,
            'zoneId' => $zone['Core'],
        ])->json('plots'),
    )->toBe($plan->json('plots'));
    $sample = fn(array $counts): array => [
        'radius' => '3 m',
        'classes' => [['from' => '1 in', 'below' => '2 in']],
        'plots' => array_map(static fn(int $n): array => ['counts' => [$n]], $counts),
    ];
    $this->api('PUT', "/stands/{$stand}/tally", [
        'kind' => 'plots',
        'zoneId' => $zone['Edge'],
        'sample' => $sample([8, 12, 10]),
    ])->assertOk();
    $this->api('PUT', "/stands/{$stand}/tally", [
        'kind' => 'plots',
        'zoneId' => $zone['Core'],
        'sample' => $sample([1, 0, 2, 1]),
    ])->assertOk();
    $count = $this->api('GET', "/stands/{$stand}/count?share=0.1")->assertOk();
    // edge 900 m2 at 30 / 84.82 m2, core 1500 m2 at 4 / 113.1 m2: 318.3 + 53.1
    expect($count->json('plots.all.total'))
        ->toEqualWithDelta(371, 1)
        ->and($count->json('plots.each'))
        ->toHaveCount(2)
        ->and($count->json('plots.all.totalLow'))
        ->toBeLessThan(371)
        ->and($count->json('census.stems'))
        ->toBe(319 + 54)
        ->and($count->json('census.estimated'))
        ->toBeTrue()
        ->and($count->json('history'))
        ->toHaveCount(2);
    // spread of the edge plots is a fifth of their mean: t x 20 % / sqrt(n) <= 10 % from n = 13
    $edge = collect($count->json('plots.each'))->firstWhere('zone', 'Edge');
    expect([$edge['needed'], $edge['still']])->toBe([13, 10]);
    $this->api('PUT', "/stands/{$stand}/tally", [
        'rows' => [['girth' => '10 cm', 'count' => 7, 'bark' => 'smooth']],
        'diameterAt' => 'base',
    ])
        ->assertOk()
        ->assertJsonPath('tally.stems', 7);
    $after = $this->api('GET', "/stands/{$stand}/count")
        ->assertOk()
        ->assertJsonPath('plots', null)
        ->assertJsonCount(3, 'history');
    expect((float) $after->json('classes.0.from.value'))->toEqualWithDelta(3.1831, 0.0001);
});

it('reads and writes the tally as a table, naming bad rows', function () {
    $this->as();
    $stand = $this->standId('tree-of-heaven');
    $csv = (string) $this->api('GET', "/stands/{$stand}/tally.csv")
        ->assertOk()
        ->getContent();
    expect($csv)
        ->toStartWith("zone,visited,from,below,diameter,girth,count,\"stems per clump\",bark,height,estimated\n")
        ->toContain(',2026-08-28,"1 in","2 in",,,22,');
    $read = $this->api('POST', "/stands/{$stand}/tally/csv", ['text' => $csv])
        ->assertOk()
        ->assertJsonPath('faults', []);
    expect($read->json('rows.0'))->toBe(['from' => '1 in', 'below' => '2 in', 'count' => 22]);
    $bad = $this->api('POST', "/stands/{$stand}/tally/csv", [
        'text' => "diameter,count\n3 in,4\n3 gal,2\n2 in,many\n",
    ])->assertOk();
    expect(array_column($bad->json('faults'), 'row'))->toBe([3, 4]);
    $this->api('POST', "/stands/{$stand}/tally/csv", ['text' => "a,b\n1,2\n"])->assertStatus(422);
});

it('lets a leaf-out seen on the ground move every later estimate there', function () {
    $this->as();
    ['patch' => $id] = field($this);
    // 44.1 N, 210 m: (4.1 + 10/120) x 4 = 16.7 days late by rule of thumb; leaf-out of privet stands at 10 April
    $this->api('GET', "/patches/{$id}")
        ->assertJsonPath('season.shiftDays', 17)
        ->assertJsonPath('season.leafOut', null);
    $this->api('POST', "/patches/{$id}/observations", [
        'facts' => [['fact' => 'leaf-out', 'value' => '2026-04-15', 'species' => 'common-privet']],
    ])
        ->assertCreated()
        ->assertJsonPath('season.shiftDays', 5)
        ->assertJsonPath('season.byPlaceDays', 17);
    $stand = $this->api('POST', "/patches/{$id}/stands")->json('id');
    $this->api('POST', "/stands/{$stand}/sightings", ['seen' => [], 'species' => 'norway-maple'])
        ->assertCreated()
        ->assertJsonPath('season.shiftDays', 5);
    expect($this->api('GET', "/stands/{$stand}")->json('stage.why'))->toContain('leaf-out seen on this ground');
    $this->api('POST', "/patches/{$id}/observations", [
        'facts' => [['fact' => 'leaf-out', 'value' => '2027-04-15', 'species' => 'common-privet']],
    ])->assertStatus(422);
});

it('keeps viewers from changing the ground', function () {
    $this->as('cleo');
    $patch = Stand::query()->findOrFail($this->standId('tree-of-heaven'))->patch_id;
    $ground = (string) Ground::query()->value('id');
    foreach (
        [
            ['POST', "/grounds/{$ground}/keepers"],
            ['POST', "/grounds/{$ground}/imports"],
            ['POST', "/patches/{$patch}/split"],
            ['POST', "/patches/{$patch}/archive"],
        ]
        as [$method, $path]
    ) {
        $this->api($method, $path)->assertStatus(403);
    }
});

it('keeps other crews out of every new door', function () {
    $patch = Stand::query()->findOrFail($this->standId('tree-of-heaven'))->patch_id;
    $ground = (string) Ground::query()->value('id');
    $crew = App\Models\Crew::create(['name' => 'Others', 'settings' => []]);
    $user = App\Models\User::create([
        'crew_id' => $crew->id,
        'role' => 'lead',
        'name' => 'O',
        'email' => 'o@others.example',
        'password' => 'thicket-demo',
        'units' => 'us',
    ]);
    $this->actingAs($user)->withSession(["password_given.{$user->id}" => time()]);
    foreach (
        [
            "/grounds/{$ground}/map",
            "/grounds/{$ground}/patches",
            "/grounds/{$ground}/keepers",
            "/grounds/{$ground}/export?format=csv",
            "/patches/{$patch}/outlines",
            "/stands/{$this->standId('tree-of-heaven')}/count",
        ]
        as $path
    ) {
        $this->api('GET', $path)->assertNotFound();
    }
    $this->api('POST', '/outlines', [
        'ground' => $ground,
        'circle' => ['centre' => [-71.4, 44.05], 'radius' => '5 m'],
    ])->assertNotFound();
});

it('says so when the simulated receiver is not there', function () {
    $this->as();
    config(['thicket.gps_port' => 1]);
    $this->api('GET', '/stand-ins/gps?longitude=-71.4&latitude=44.05')->assertStatus(503);
});
