<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

/** Rows of every table a write could touch. */
function rowCounts(): array
{
    return array_map(static fn(string $t): int => DB::table($t)->count(), [
        'grounds',
        'patches',
        'patch_outlines',
        'zones',
        'keepers',
        'stands',
        'observations',
        'tallies',
        'plot_plans',
        'sightings',
        'steps',
        'sheets',
        'records',
        'look_backs',
        'label_cards',
        'label_card_versions',
    ]);
}

it('refuses bad input with the field named and keeps nothing of it', function (
    string $method,
    string $path,
    array|string $body,
    int $status,
    ?string $pointer,
) {
    $this->as();
    $stand = $this->standId('tree-of-heaven');
    $path = strtr($path, [
        ':stand' => $stand,
        ':patch' => App\Models\Stand::query()->findOrFail($stand)->patch_id,
        ':ground' => (string) App\Models\Ground::query()->where('name', 'Hollin Hedge and oak wood')->value('id'),
        ':sheet' => (string) App\Models\Sheet::query()->value('id'),
        ':record' => (string) App\Models\Record::query()->value('id'),
        ':step' => (string) App\Models\Step::query()->where('method', 'basal-bark')->value('id'),
    ]);
    if (is_array($body) && ($body['ground'] ?? null) === ':ground') {
        $body['ground'] = (string) App\Models\Ground::query()->where('name', 'Hollin Hedge and oak wood')->value('id');
    }
    $before = rowCounts();
    $headers =
        in_array($path, ["/stands/{$stand}/step", '/shed/choices'], true) ||
        str_starts_with($path, '/steps') ||
        str_ends_with($path, '/close')
            ? ['If-Match' => '"1"']
            : [];
    $response = $this->api($method, $path, $body, $headers)->assertStatus($status);
    if ($pointer !== null) {
        expect(array_column($response->json('errors') ?? [], 'pointer'))->toContain($pointer);
    }
    expect(rowCounts())->toBe($before);
})->with([
    'not JSON' => ['POST', '/grounds', '{"name": ', 400, null],
    'a list' => ['POST', '/grounds', '[1,2]', 422, ''],
    'nothing' => ['POST', '/grounds', [], 422, '/name'],
    'latitude as number' => [
        'POST',
        '/grounds',
        '{"name":"a","latitude":44.1,"longitude":"1","elevation":"1 m","timeZone":"Etc/UTC"}',
        422,
        '/latitude',
    ],
    'off the globe' => [
        'POST',
        '/grounds',
        ['name' => 'a', 'latitude' => '91', 'longitude' => '1', 'elevation' => '1 m', 'timeZone' => 'Etc/UTC'],
        422,
        '/latitude',
    ],
    'elevation in gallons' => [
        'POST',
        '/grounds',
        ['name' => 'a', 'latitude' => '44', 'longitude' => '1', 'elevation' => '1 gal', 'timeZone' => 'Etc/UTC'],
        422,
        '/elevation',
    ],
    'zone of nowhere' => [
        'POST',
        '/grounds',
        ['name' => 'a', 'latitude' => '44', 'longitude' => '1', 'elevation' => '1 m', 'timeZone' => 'Moon/Base'],
        422,
        '/timeZone',
    ],
    'control letters' => [
        'POST',
        '/grounds',
        ['name' => "a\x00b", 'latitude' => '44', 'longitude' => '1', 'elevation' => '1 m', 'timeZone' => 'Etc/UTC'],
        422,
        '/name',
    ],
    'endless name' => [
        'POST',
        '/grounds',
        [
            'name' => str_repeat('x', 5000),
            'latitude' => '44',
            'longitude' => '1',
            'elevation' => '1 m',
            'timeZone' => 'Etc/UTC',
        ],
        422,
        '/name',
    ],
    'crossing outline' => [
        'POST',
        '/grounds/:ground/patches',
        [
            'name' => 'a',
            'setting' => 'woods',
            'outline' => ['type' => 'Polygon', 'coordinates' => [[[0, 0], [1, 1], [1, 0], [0, 1], [0, 0]]]],
        ],
        422,
        '/outline/coordinates/0/2',
    ],
    'setting unknown' => ['POST', '/grounds/:ground/patches', ['name' => 'a', 'setting' => 'moon'], 422, '/setting'],
    'keeper unknown kind' => ['POST', '/patches/:patch/keepers', ['kind' => 'dragon', 'name' => 'x'], 422, '/kind'],
    'keeper nearer than nothing' => [
        'POST',
        '/patches/:patch/keepers',
        ['kind' => 'tree', 'name' => 'x', 'distance' => '-3 m'],
        422,
        '/distance',
    ],
    'observation of the wrong kind' => [
        'POST',
        '/patches/:patch/observations',
        ['facts' => [['fact' => 'height', 'value' => '3 gal']]],
        422,
        '/facts/0/value',
    ],
    'observation from the future' => [
        'POST',
        '/patches/:patch/observations',
        ['facts' => [['fact' => 'drought', 'value' => true, 'at' => '2030-01-01T00:00:00Z']]],
        422,
        '/facts/0/at',
    ],
    'one good, one bad observation' => [
        'POST',
        '/patches/:patch/observations',
        ['facts' => [['fact' => 'drought', 'value' => true], ['fact' => 'mood', 'value' => 'good']]],
        422,
        '/facts/1/fact',
    ],
    'key with taste' => ['POST', '/identify', ['seen' => ['taste' => 'sweet']], 422, '/seen/taste'],
    'species unknown' => ['POST', '/stands/:stand/sightings', ['seen' => [], 'species' => 'dragon'], 422, '/species'],
    'neither named nor unknown' => ['POST', '/stands/:stand/sightings', ['seen' => []], 422, '/species'],
    'look-alike test of nowhere' => [
        'POST',
        '/stands/:stand/sightings',
        ['seen' => [], 'species' => 'red-maple', 'tests' => [['pair' => 'a--b', 'test' => 'x', 'answer' => 'yes']]],
        422,
        '/tests/0/test',
    ],
    'tally negative' => [
        'PUT',
        '/stands/:stand/tally',
        ['rows' => [['diameter' => '-2 in', 'count' => 3]]],
        422,
        '/rows/0/diameter',
    ],
    'tally of a fraction of a stem' => [
        'PUT',
        '/stands/:stand/tally',
        '{"rows":[{"diameter":"2 in","count":1.5}]}',
        422,
        '/rows/0/count',
    ],
    'tally tomorrow' => [
        'PUT',
        '/stands/:stand/tally',
        ['visitedOn' => '2026-09-04', 'rows' => [['diameter' => '2 in', 'count' => 3]]],
        422,
        '/visitedOn',
    ],
    'tally hostile' => [
        'PUT',
        '/stands/:stand/tally',
        ['rows' => [['diameter' => "2 in'; DROP TABLE tallies; --", 'count' => 3]]],
        422,
        '/rows/0/diameter',
    ],
    'step with a method unknown' => ['PUT', '/stands/:stand/step', ['method' => 'magic'], 422, '/method'],
    'step without its active' => ['PUT', '/stands/:stand/step', ['method' => 'basal-bark'], 422, '/active'],
    'step with the wrong active' => [
        'PUT',
        '/stands/:stand/step',
        ['method' => 'basal-bark', 'active' => 'glyphosate'],
        422,
        '/active',
    ],
    'step with a card of nobody' => [
        'PUT',
        '/stands/:stand/step',
        [
            'method' => 'basal-bark',
            'active' => 'triclopyr-ester',
            'cardVersionId' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
        ],
        422,
        '/cardVersionId',
    ],
    'school unknown' => ['GET', '/stands/:stand/board?schools[luck]=good', [], 422, '/schools/luck'],
    'row of nothing' => ['GET', '/stands/:stand/board/row', [], 422, '/row'],
    'row unknown' => ['GET', '/stands/:stand/board/row?row=luck/glyphosate', [], 422, '/row'],
    'date in words' => ['GET', '/stands/:stand/board?date=soon', [], 422, '/date'],
    'year far off' => ['GET', '/stands/:stand/year?year=9999', [], 422, '/year'],
    'dye in glugs' => ['GET', '/steps/:step/recipe?dye=glug', [], 422, '/dye'],
    'sprayer of nobody' => [
        'PUT',
        '/steps/:step/recipe',
        ['sprayerId' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31'],
        422,
        '/sprayerId',
    ],
    'record backward in time' => [
        'POST',
        '/sheets/:sheet/records',
        [
            'workedOn' => '2026-09-03',
            'start' => '12:00',
            'stop' => '09:00',
            'people' => ['A'],
            'treated' => 1,
            'mixUsed' => '1 L',
            'weather' => 'x',
            'wind' => '1 mph',
            'temperature' => '60 F',
        ],
        422,
        '/stop',
    ],
    'record without people' => [
        'POST',
        '/sheets/:sheet/records',
        [
            'workedOn' => '2026-09-03',
            'start' => '09:00',
            'stop' => '12:00',
            'treated' => 1,
            'mixUsed' => '1 L',
            'weather' => 'x',
            'wind' => '1 mph',
            'temperature' => '60 F',
        ],
        422,
        '/people',
    ],
    'look-back with too many dead' => [
        'POST',
        '/records/:record/look-backs',
        ['lookedOn' => '2026-09-03', 'counted' => 3, 'dead' => 4],
        422,
        '/dead',
    ],
    'look-back before the work' => [
        'POST',
        '/records/:record/look-backs',
        ['lookedOn' => '2020-01-01', 'counted' => 3, 'dead' => 1],
        422,
        '/lookedOn',
    ],
    'card above the whole' => [
        'POST',
        '/shed/cards',
        [
            'card' => [
                'product' => 'p',
                'registration' => 'r',
                'formulation' => 'granule',
                'actives' => [['active' => 'glyphosate', 'amount' => '141 % w/w']],
                'methods' => [['method' => 'foliar-spot']],
            ],
        ],
        422,
        '/card/actives/0/amount',
    ],
    'card upside down' => [
        'POST',
        '/shed/cards',
        [
            'card' => [
                'product' => 'p',
                'registration' => 'r',
                'formulation' => 'granule',
                'actives' => [['active' => 'glyphosate', 'amount' => '41 % w/w']],
                'methods' => [['method' => 'foliar-spot', 'min' => '3%', 'max' => '2%']],
            ],
        ],
        422,
        '/card/methods/0/max',
    ],
    'reading nobody can read' => ['POST', '/readings', ['typed' => 'a glug'], 422, '/typed'],
    'empty search' => ['GET', '/search?q=', [], 422, '/q'],
    'units of the moon' => ['PATCH', '/session', ['units' => 'cubits'], 422, '/units'],
    'a stray field' => ['POST', '/readings', ['typed' => '1 in', 'glug' => 1], 422, '/glug'],
    'no such page' => ['GET', '/handbook/species/dragon', [], 404, null],
    'no such stand' => ['GET', '/stands/not-an-id', [], 404, null],
    'closing without a word' => ['POST', '/stands/:stand/close', [], 422, '/reason'],
    'stance unknown' => ['PATCH', '/shed/choices', ['stance' => 'maybe'], 422, '/stance'],
    // ground and counts
    'tally by girth and diameter at once' => [
        'PUT',
        '/stands/:stand/tally',
        ['rows' => [['diameter' => '2 in', 'girth' => '6 in', 'count' => 3]]],
        422,
        '/rows/0/girth',
    ],
    'tally in a zone of nowhere' => [
        'PUT',
        '/stands/:stand/tally',
        ['zoneId' => '0190a000-0000-7000-8000-000000000000', 'rows' => [['diameter' => '2 in', 'count' => 3]]],
        422,
        '/zoneId',
    ],
    'cover of no class' => ['PUT', '/stands/:stand/tally', ['kind' => 'cover', 'cover' => 'a lot'], 422, '/cover'],
    'plots with a count too few' => [
        'PUT',
        '/stands/:stand/tally',
        [
            'kind' => 'plots',
            'sample' => [
                'radius' => '5 m',
                'classes' => [['diameter' => '2 in'], ['diameter' => '3 in']],
                'plots' => [['counts' => [1]]],
            ],
        ],
        422,
        '/sample/plots/0/counts',
    ],
    'plots of a bad class' => [
        'PUT',
        '/stands/:stand/tally',
        [
            'kind' => 'plots',
            'sample' => [
                'radius' => '5 m',
                'classes' => [['from' => '3 in', 'below' => '2 in']],
                'plots' => [['counts' => [1]]],
            ],
        ],
        422,
        '/sample/classes/0/below',
    ],
    'a plot with more inside than it has' => [
        'PUT',
        '/stands/:stand/tally',
        ['kind' => 'plots', 'sample' => ['radius' => '5 m', 'plots' => [['counts' => [1], 'inside' => '79 m2']]]],
        422,
        '/sample/plots/0/inside',
    ],
    'a plot plan of one' => [
        'POST',
        '/stands/:stand/plot-plans',
        ['plots' => 1, 'radius' => '5 m', 'placement' => 'random'],
        422,
        '/plots',
    ],
    'a plot plan in gallons' => [
        'POST',
        '/stands/:stand/plot-plans',
        ['plots' => 4, 'radius' => '5 gal', 'placement' => 'random'],
        422,
        '/radius',
    ],
    'a plot plan by taste' => [
        'POST',
        '/stands/:stand/plot-plans',
        ['plots' => 4, 'radius' => '5 m', 'placement' => 'where it is thick'],
        422,
        '/placement',
    ],
    'a plan larger than the hedge' => [
        'POST',
        '/stands/:stand/plot-plans',
        ['plots' => 100, 'radius' => '9 m', 'placement' => 'random'],
        422,
        '/plots',
    ],
    'a keeper drawn nowhere' => ['POST', '/grounds/:ground/keepers', ['kind' => 'well', 'name' => 'w'], 422, '/shape'],
    'a keeper over the sea' => [
        'POST',
        '/grounds/:ground/keepers',
        ['kind' => 'well', 'name' => 'w', 'shape' => ['type' => 'Point', 'coordinates' => [10, 50]]],
        422,
        '/shape',
    ],
    'a line of one position' => [
        'POST',
        '/grounds/:ground/keepers',
        [
            'kind' => 'stream',
            'name' => 's',
            'shape' => ['type' => 'LineString', 'coordinates' => [[-71.38, 44.05], [-71.38, 44.05]]],
        ],
        422,
        '/shape/coordinates',
    ],
    'a drawn keeper with a distance too' => [
        'POST',
        '/grounds/:ground/keepers',
        [
            'kind' => 'well',
            'name' => 'w',
            'distance' => '3 m',
            'shape' => ['type' => 'Point', 'coordinates' => [-71.38, 44.05]],
        ],
        422,
        '/distance',
    ],
    'two ways at once' => [
        'POST',
        '/outlines',
        ['ground' => ':ground', 'gpx' => '<gpx/>', 'circle' => ['centre' => [-71.38, 44.05], 'radius' => '5 m']],
        422,
        '/polygon',
    ],
    'a circle of nothing' => [
        'POST',
        '/outlines',
        ['ground' => ':ground', 'circle' => ['centre' => [-71.38, 44.05], 'radius' => '0 m']],
        422,
        '/circle/radius',
    ],
    'a circle round a word' => [
        'POST',
        '/outlines',
        ['ground' => ':ground', 'circle' => ['centre' => 'here', 'radius' => '5 m']],
        422,
        '/circle/centre',
    ],
    'a bearing past the compass' => [
        'POST',
        '/outlines',
        [
            'ground' => ':ground',
            'rectangle' => ['corner' => [-71.38, 44.05], 'length' => '5 m', 'width' => '5 m', 'bearing' => '361'],
        ],
        422,
        '/rectangle/bearing',
    ],
    'a walk of two steps' => [
        'POST',
        '/outlines',
        [
            'ground' => ':ground',
            'walk' => [
                ['position' => [-71.38, 44.05], 'at' => '2026-09-03T09:00:00Z'],
                ['position' => [-71.381, 44.05], 'at' => '2026-09-03T09:00:09Z'],
            ],
        ],
        422,
        '/walk',
    ],
    'a walk without times' => [
        'POST',
        '/outlines',
        ['ground' => ':ground', 'walk' => [['position' => [-71.38, 44.05]]]],
        422,
        '/walk/0/at',
    ],
    'a file of nothing' => ['POST', '/grounds/:ground/imports/preview', ['text' => ' '], 422, '/text'],
    'a file of entities' => [
        'POST',
        '/grounds/:ground/imports/preview',
        ['text' => '<!DOCTYPE kml [<!ENTITY x SYSTEM "file:///etc/passwd">]><kml>&x;</kml>'],
        422,
        '/text',
    ],
    'a file of an unknown kind' => [
        'POST',
        '/grounds/:ground/imports/preview',
        ['text' => 'hello there'],
        422,
        '/text',
    ],
    'rows of a file that has none such' => [
        'POST',
        '/grounds/:ground/imports',
        [
            'text' => '{"type":"Point","coordinates":[-71.38,44.05]}',
            'rows' => [['entry' => 7, 'as' => 'keeper', 'name' => 'x', 'kind' => 'well']],
        ],
        422,
        '/rows/0/entry',
    ],
    'a point as a patch' => [
        'POST',
        '/grounds/:ground/imports',
        [
            'text' => '{"type":"Point","coordinates":[-71.38,44.05]}',
            'rows' => [['entry' => 0, 'as' => 'patch', 'name' => 'x', 'setting' => 'woods']],
        ],
        422,
        '/rows/0/entry',
    ],
    'a kept thing of no kind' => [
        'POST',
        '/grounds/:ground/imports',
        [
            'text' => '{"type":"Point","coordinates":[-71.38,44.05]}',
            'rows' => [['entry' => 0, 'as' => 'keeper', 'name' => 'x']],
        ],
        422,
        '/rows/0/kind',
    ],
    'an edge wider than the patch' => ['POST', '/patches/:patch/zones', ['edgeWidth' => '90 m'], 422, '/edgeWidth'],
    'a zone of nothing' => ['POST', '/patches/:patch/zones', ['name' => 'x'], 422, '/edgeWidth'],
    'joined with nobody' => ['POST', '/patches/:patch/merge', ['patches' => []], 422, '/patches'],
    'a hole elsewhere' => [
        'POST',
        '/patches/:patch/hole',
        ['hole' => ['type' => 'Polygon', 'coordinates' => [[[-71.5, 44.05], [-71.499, 44.05], [-71.499, 44.051]]]]],
        422,
        '/hole',
    ],
    'leaf-out of an unknown plant' => [
        'POST',
        '/patches/:patch/observations',
        ['facts' => [['fact' => 'leaf-out', 'value' => '2026-04-21', 'species' => 'triffid']]],
        422,
        '/facts/0/species',
    ],
]);

it('wants somebody signed in, and throttles guessing', function () {
    foreach (['/today', '/grounds', '/shed', '/handbook'] as $path) {
        $this->api('GET', $path)->assertUnauthorized();
    }
    $codes = [];
    for ($i = 0; $i < 7; ++$i) {
        $codes[] = $this->api('POST', '/session', [
            'email' => 'ada@alderbrook.example',
            'password' => 'guess',
        ])->getStatusCode();
    }
    expect($codes)->toBe([422, 422, 422, 422, 422, 422, 429]);
});

it('makes the first account only with the printed code', function () {
    $this->api('POST', '/setup', [
        'code' => 'x',
        'crew' => 'c',
        'name' => 'n',
        'email' => 'nobody',
        'password' => 'short',
    ])->assertStatus(422);
    $this->api('POST', '/setup', [
        'code' => 'x',
        'crew' => 'c',
        'name' => 'n',
        'email' => 'n@n.example',
        'password' => 'nine grey barrows',
    ])->assertStatus(409);
    // what people made stays: it is sealed
    DB::statement('SET FOREIGN_KEY_CHECKS = 0');
    DB::table('users')->delete();
    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    DB::table('installation')->insert(['key' => 'setup_code', 'value' => 'abcd-1234']);
    $this->api('POST', '/setup', [
        'code' => 'wrong',
        'crew' => 'c',
        'name' => 'n',
        'email' => 'n@n.example',
        'password' => 'nine grey barrows',
    ])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/code');
    $this->api('POST', '/setup', [
        'code' => 'abcd-1234',
        'crew' => 'c',
        'name' => 'n',
        'email' => 'n@n.example',
        'password' => 'nine grey barrows',
    ])
        ->assertCreated()
        ->assertJsonPath('user.isLead', true);
    $this->api('GET', '/today')->assertOk();
});
