<?php

declare(strict_types=1);

use App\Models\Record;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Tally;
use Illuminate\Support\Facades\DB;

it('carries a patch from an outline to a look-back that cannot be scored yet', function () {
    $this->as();
    $ground = $this->api('POST', '/grounds', [
        'name' => 'Fernshaw',
        'latitude' => '44.1',
        'longitude' => '-71.2',
        'elevation' => '690 ft',
        'timeZone' => 'Etc/GMT+5',
    ])
        ->assertCreated()
        ->json('id');
    $ring = [[-71.2, 44.1], [-71.199, 44.1], [-71.199, 44.1005], [-71.2, 44.1005], [-71.2, 44.1]];
    $patch = $this->api('POST', "/grounds/{$ground}/patches", [
        'name' => 'Lane edge',
        'setting' => 'woods',
        'outline' => ['type' => 'Polygon', 'coordinates' => [$ring]],
    ])->assertCreated();
    expect((float) $patch->json('area.value'))->toEqualWithDelta(4449, 5);
    $patchId = $patch->json('id');
    $this->api('POST', "/patches/{$patchId}/keepers", [
        'kind' => 'stream',
        'name' => 'Fern beck',
        'distance' => '40 m',
    ])->assertCreated();
    $stand = $this->api('POST', "/patches/{$patchId}/stands")
        ->assertCreated()
        ->assertJsonPath('act.code', 'named')
        ->json('id');
    $key = $this->api('POST', '/identify', [
        'seen' => ['habit' => 'tree', 'leaf-type' => 'pinnate', 'bark' => 'smooth'],
    ]);
    expect($key->json('candidates.0.id'))->toBe('tree-of-heaven');
    $this->api('POST', "/stands/{$stand}/sightings", [
        'seen' => ['habit' => 'tree'],
        'species' => 'tree-of-heaven',
        'tests' => [['pair' => 'tree-of-heaven--winged-sumac', 'test' => 'leaflet-notch', 'answer' => 'yes']],
    ])
        ->assertCreated()
        ->assertJsonPath('act.code', 'counted');
    $this->api('PUT', "/stands/{$stand}/tally", [
        'rows' => [['diameter' => '3 in', 'count' => 12], ['from' => '1 in', 'below' => '2 in', 'count' => 30]],
    ])
        ->assertOk()
        ->assertJsonPath('tally.stems', 42);
    $this->api('POST', "/patches/{$patchId}/observations", [
        'facts' => [
            ['fact' => 'bark-texture', 'value' => 'smooth'],
            ['fact' => 'bark-wetness', 'value' => 'dry'],
            ['fact' => 'grass-at-base', 'value' => false],
        ],
    ])->assertCreated();

    $board = $this->api('GET', "/stands/{$stand}/board")->assertOk();
    $row = collect($board->json('rows'))->first(
        fn(array $r): bool => $r['method']['id'] === 'basal-bark' && $r['card'] !== null,
    );
    expect($row['outcome'])->toBe('withCare');
    $spring = $this->api('GET', "/stands/{$stand}/board?date=2027-05-10")->assertOk();
    $closed = collect($spring->json('rows'))->first(
        fn(array $r): bool => $r['method']['id'] === 'basal-bark' && $r['card'] !== null,
    );
    expect([$closed['outcome'], $closed['opens']['date']])->toBe(['notNow', '2027-07-01']);

    $revision = $this->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $choice = ['method' => 'basal-bark', 'active' => 'triclopyr-ester', 'cardVersionId' => $row['card']['versionId']];
    $chosen = $this->api('PUT', "/stands/{$stand}/step", $choice, ['If-Match' => $revision])
        ->assertOk()
        ->assertJsonPath('act.code', 'mixed');
    $step = $chosen->json('step.id');
    $this->api('POST', "/stands/{$stand}/sheets")
        ->assertStatus(409)
        ->assertJsonPath('gates.0.code', 'recipe');
    $recipe = $this->api('GET', "/steps/{$step}/recipe")->assertOk();
    // 12 x pi x 3 x 14 + 30 x pi x 1.5 x 14 = 3562.57 sq in = 2.29843 m2; x 0.30 x 1.1 = 0.75848 L; a quarter of it
    expect((float) $recipe->json('need.value'))
        ->toEqualWithDelta(0.75848, 0.0001)
        ->and((float) $recipe->json('product.value'))
        ->toEqualWithDelta(0.18962, 0.0001)
        ->and($recipe->json('saved'))
        ->toBeFalse()
        ->and($recipe->json('drawing.kind'))
        ->toBe('band');
    $this->api('PUT', "/steps/{$step}/recipe", [], ['If-Match' => $recipe->headers->get('ETag')])
        ->assertOk()
        ->assertJsonPath('saved', true);
    $this->api('GET', "/stands/{$stand}/year")
        ->assertOk()
        ->assertJsonCount(52, 'weeks')
        ->assertJsonPath('chosen.outcome', 'withCare');
    ownerAgrees($this, $stand);
    $this->api('GET', "/stands/{$stand}/gates")->assertExactJson(['gates' => []]);

    $sheet = $this->api('POST', "/stands/{$stand}/sheets")
        ->assertCreated()
        ->assertJsonPath('snapshot.judgeAfter', '2027-09-03')
        ->json('id');
    $this->api('POST', "/stands/{$stand}/sheets")->assertStatus(409);
    $this->api('GET', "/sheets/{$sheet}")
        ->assertOk()
        ->assertJsonPath('snapshot.target.name', 'Tree-of-heaven');
    $paper = $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $sheet])
        ->assertStatus(202)
        ->json('id');
    $this->api('GET', "/papers/{$paper}")
        ->assertOk()
        ->assertExactJson(['id' => $paper, 'kind' => 'sheet', 'state' => 'ready', 'ahead' => 0]);
    expect(
        file_get_contents(
            (string) $this->api('GET', "/papers/{$paper}/file")
                ->assertOk()
                ->baseResponse->getFile(),
            false,
            null,
            0,
            4,
        ),
    )->toBe('%PDF');
    // the same again is not made again, and nobody else's
    $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $sheet])
        ->assertStatus(202)
        ->assertJsonPath('id', $paper);

    // a later count raises a flag, but never moves the step back past 'issued' (rulings B1)
    $this->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '3 in', 'count' => 13]]])
        ->assertJsonPath('act.code', 'done')
        ->assertJsonPath('step.recipe', 'check-again');
    $work = [
        'workedOn' => '2026-09-03',
        'start' => '09:30',
        'stop' => '12:00',
        'people' => ['Ada Thornbury'],
        'treated' => 42,
        'mixUsed' => '0.8 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '66 F',
    ];
    $record = $this->api('POST', "/sheets/{$sheet}/records", ['temperature' => '88 F'] + $work)
        ->assertCreated()
        ->assertJsonPath('body.outsideLimits', ['Air at most 85 °F, today and two days on.'])
        ->assertJsonPath('judgeAfter', '2027-09-03')
        ->assertJsonPath('mayScore', false)
        // told as an account tells it, the exact figure beside
        ->assertJsonPath('amounts.0.used.shown.us', '27.05 fl oz')
        ->assertJsonPath('amounts.0.used.told.us', '27 fl oz')
        ->assertJsonPath('amounts.1.used.told.us', '6.8 fl oz');
    expect((float) $record->json('body.productUsed.value'))->toEqualWithDelta(0.2, 1e-6);
    $this->api('POST', "/sheets/{$sheet}/records", $work)->assertStatus(409);
    $id = $record->json('id');
    $this->api('POST', "/records/{$id}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'counted' => 42,
        'dead' => 40,
    ])
        ->assertStatus(409)
        ->assertJsonPath('judgeAfter', '2027-09-03');
    $this->api('POST', "/records/{$id}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => false,
        'counted' => 42,
        'dead' => 0,
    ])
        ->assertCreated()
        ->assertJsonCount(1, 'lookBacks');
});

it(
    'keeps a look-alike gate shut until the test is made, and takes the name back when it points elsewhere',
    function () {
        $this->as();
        $stand = $this->standId('norway-maple');
        $gate = fn(): array => array_column(
            $this->api('GET', "/stands/{$stand}/gates")->json('gates'),
            'passable',
            'code',
        );
        expect($gate())->toMatchArray(['look-alike' => false, 'recipe' => false]);
        $this->api('POST', "/stands/{$stand}/sheets", ['passes' => [['gate' => 'look-alike', 'reason' => 'I know it']]])
            ->assertStatus(409)
            ->assertJsonPath('gates.0.code', 'look-alike');
        $test = ['pair' => 'norway-maple--red-maple', 'test' => 'milky-leaf-stalk'];
        $this->api('POST', "/stands/{$stand}/sightings", [
            'seen' => [],
            'species' => 'norway-maple',
            'tests' => [$test + ['answer' => 'yes']],
        ])->assertCreated();
        // the sugar maple is not ruled out by a test against the red one
        expect($gate())->toHaveKey('look-alike');
        $this->api('POST', "/stands/{$stand}/sightings", [
            'seen' => [],
            'species' => 'norway-maple',
            'tests' => [['pair' => 'norway-maple--sugar-maple', 'test' => 'bud', 'answer' => 'yes']],
        ])->assertCreated();
        expect($gate())->not->toHaveKey('look-alike');
        $this->api('POST', "/stands/{$stand}/sightings", [
            'seen' => [],
            'species' => 'norway-maple',
            'tests' => [$test + ['answer' => 'no']],
        ])->assertCreated();
        expect($gate())->toHaveKey('look-alike');
    },
);

it('lets a lead pass an estimated tally with a written reason, printed on the sheet', function () {
    $this->as();
    $stand = $this->standId('quackgrass');
    $this->api('POST', "/stands/{$stand}/sheets")
        ->assertStatus(409)
        ->assertJsonPath('gates.0.code', 'estimated-tally');
    $sheet = $this->api('POST', "/stands/{$stand}/sheets", [
        'passes' => [['gate' => 'estimated-tally', 'reason' => 'Paced twice, same result.']],
    ])->assertCreated();
    expect($sheet->json('snapshot.passes.0.reason'))->toBe('Paced twice, same result.');
});

it('does a write once under one idempotency key, and refuses the key for another body', function () {
    $this->as();
    $stand = $this->standId('tree-of-heaven');
    $before = Tally::query()->count();
    $first = $this->api(
        'PUT',
        "/stands/{$stand}/tally",
        ['rows' => [['diameter' => '2 in', 'count' => 5]]],
        ['Idempotency-Key' => 'tally-2026-09-03'],
    )->assertOk();
    $again = $this->api(
        'PUT',
        "/stands/{$stand}/tally",
        ['rows' => [['diameter' => '2 in', 'count' => 5]]],
        ['Idempotency-Key' => 'tally-2026-09-03'],
    )->assertOk();
    expect($again->getContent())
        ->toBe($first->getContent())
        ->and($again->headers->get('Idempotent-Replay'))
        ->toBe('true')
        ->and(Tally::query()->count())
        ->toBe($before + 1);
    $this->api(
        'PUT',
        "/stands/{$stand}/tally",
        ['rows' => [['diameter' => '2 in', 'count' => 6]]],
        ['Idempotency-Key' => 'tally-2026-09-03'],
    )
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/Idempotency-Key');
    // a refusal is not kept: mended under the same key it goes through
    $this->api(
        'PUT',
        "/stands/{$stand}/tally",
        ['rows' => [['diameter' => 'fat', 'count' => 6]]],
        ['Idempotency-Key' => 'tally-mended'],
    )->assertStatus(422);
    $this->api(
        'PUT',
        "/stands/{$stand}/tally",
        ['rows' => [['diameter' => '2 in', 'count' => 6]]],
        ['Idempotency-Key' => 'tally-mended'],
    )->assertOk();
});

it('asks for the version that was changed and shows the newer one', function () {
    $this->as();
    $patch = Stand::query()->findOrFail($this->standId('tree-of-heaven'))->patch_id;
    $etag = $this->api('GET', "/patches/{$patch}")->headers->get('ETag');
    $this->api('PATCH', "/patches/{$patch}", ['name' => 'North hedge, long'])->assertStatus(428);
    $this->api(
        'PATCH',
        "/patches/{$patch}",
        ['name' => 'North hedge, long'],
        ['If-Match' => (string) $etag],
    )->assertOk();
    $this->api('PATCH', "/patches/{$patch}", ['name' => 'other'], ['If-Match' => (string) $etag])
        ->assertStatus(412)
        ->assertJsonPath('current.name', 'North hedge, long');
});

it('asks the password again before anything is signed', function () {
    $this->actingAs(App\Models\User::query()->where('email', 'ada@alderbrook.example')->firstOrFail());
    $this->api('POST', "/stands/{$this->standId('quackgrass')}/sheets")
        ->assertForbidden()
        ->assertJsonPath('needs', 'password');
    $this->api('POST', '/session/password', ['password' => 'wrong'])->assertStatus(422);
    $this->api('POST', '/session/password', ['password' => 'thicket-demo'])->assertOk();
    $this->api('POST', "/stands/{$this->standId('quackgrass')}/sheets")->assertStatus(409);
});

it('lets a viewer read and nothing else', function () {
    $this->as('cleo');
    $stand = $this->standId('tree-of-heaven');
    $this->api('GET', "/stands/{$stand}/board")->assertOk();
    $this->api('GET', '/shed')->assertOk();
    foreach (
        [
            ['PUT', "/stands/{$stand}/tally"],
            ['POST', "/stands/{$stand}/sightings"],
            ['PUT', "/stands/{$stand}/step"],
            ['POST', "/stands/{$stand}/sheets"],
            ['PATCH', '/shed/choices'],
            ['POST', '/shed/cards'],
            ['POST', '/grounds'],
        ]
        as [$method, $path]
    ) {
        $this->api($method, $path)->assertForbidden();
    }
});

it('shows another crew nothing at all', function () {
    $crew = App\Models\Crew::create(['name' => 'Elsewhere', 'settings' => []]);
    $user = App\Models\User::create([
        'crew_id' => $crew->id,
        'role' => 'lead',
        'name' => 'Odo Farrow',
        'email' => 'odo@elsewhere.example',
        'password' => 'long enough pass',
        'units' => 'metric',
        'light' => 'day',
    ]);
    [$stand, $sheet, $record] = [
        $this->standId('bush-honeysuckle'),
        Sheet::query()->value('id'),
        Record::query()->value('id'),
    ];
    $ada = App\Models\User::query()->where('email', 'ada@alderbrook.example')->firstOrFail();
    $paper = App\Models\Paper::create([
        'crew_id' => $ada->crew_id,
        'asked_by' => $ada->id,
        'kind' => 'sheet',
        'name' => 'x.pdf',
        'digest' => str_repeat('0', 64),
        'state' => 'ready',
    ])->id;
    $patch = Stand::query()->findOrFail($stand)->patch_id;
    $step = DB::table('stand_step')->where('stand_id', $stand)->value('step_id');
    $version = App\Models\LabelCardVersion::query()->value('id');
    $this->actingAs($user)->withSession(["password_given.{$user->id}" => time()]);
    $paths = [
        "/stands/{$stand}",
        "/stands/{$stand}/board",
        "/stands/{$stand}/year",
        "/stands/{$stand}/gates",
        "/patches/{$patch}",
        "/steps/{$step}/recipe",
        "/sheets/{$sheet}",
        "/records/{$record}",
        "/papers/{$paper}",
        "/papers/{$paper}/file",
    ];
    $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $sheet])->assertNotFound();
    $this->api('POST', '/papers', ['kind' => 'mixing-card', 'of' => $step])->assertNotFound();
    foreach ($paths as $path) {
        $this->api('GET', $path)->assertNotFound();
    }
    $this->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '2 in', 'count' => 5]]])->assertNotFound();
    $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'counted' => 1,
        'dead' => 1,
    ])->assertNotFound();
    $this->api('POST', "/shed/card-versions/{$version}/confirm")->assertNotFound();
    expect($this->api('GET', '/grounds')->json('data'))
        ->toBe([])
        ->and($this->api('GET', '/today')->json('lines'))
        ->toBe([])
        ->and($this->api('GET', '/shed')->json('cards'))
        ->toBe([])
        ->and($this->api('GET', '/search?q=honeysuckle')->json('data.0.kind'))
        ->toBe('species')
        ->and(array_column($this->api('GET', '/search?q=glyphosate')->json('data'), 'kind'))
        ->not->toContain('card');
});

it('scores a look-back on its day', function () {
    $this->as();
    $record = Record::query()->value('id');
    $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-02',
        'scored' => true,
        'counted' => 60,
        'dead' => 55,
        'resprouted' => 3,
    ])
        ->assertCreated()
        ->assertJsonPath('lookBacks.0.scored', true);
    $this->api('GET', "/stands/{$this->standId('bush-honeysuckle')}")->assertJsonPath('act.code', 'finished');
});

it('confirms a card of an entered label, once, by a lead', function () {
    $this->as();
    $card = [
        'product' => 'Halosulfuron granule',
        'registration' => 'DEMO-9',
        'formulation' => 'water-dispersible-granule',
        'actives' => [['active' => 'halosulfuron', 'amount' => '75 % w/w']],
        'carriers' => ['water'],
        'sites' => ['bed-lawn-paving'],
        'methods' => [['method' => 'foliar-spot', 'max' => '0.1%']],
    ];
    $shed = $this->api('POST', '/shed/cards', ['card' => $card])->assertCreated();
    $version = collect($shed->json('cards'))->firstWhere('product', 'Halosulfuron granule')['versions'][0];
    expect($version['confirmed'])->toBeFalse();
    $this->api('POST', "/shed/card-versions/{$version['id']}/confirm")->assertOk();
    $this->api('POST', "/shed/card-versions/{$version['id']}/confirm")->assertStatus(409);
});

it('lists what is next under the name of who takes it, and takes nobody from elsewhere', function () {
    $this->as();
    $stand = $this->standId('quackgrass');
    $seen = $this->api('GET', "/stands/{$stand}")
        ->assertOk()
        ->assertJsonPath('assignee', null);
    $ada = collect($seen->json('crew'))->firstWhere('name', 'Ada Thornbury');
    $match = ['If-Match' => $seen->headers->get('ETag')];
    $other = App\Models\Crew::create(['name' => 'Elsewhere', 'settings' => []]);
    $stranger = App\Models\Person::create(['crew_id' => $other->id, 'name' => 'Odo Farrow', 'clearances' => []]);
    $this->api('PUT', "/stands/{$stand}/assignee", ['person' => $stranger->id], $match)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/person');
    $this->api('PUT', "/stands/{$stand}/assignee", ['person' => $ada['id']], $match)
        ->assertOk()
        ->assertJsonPath('assignee.name', 'Ada Thornbury');
    $this->api('PUT', "/stands/{$stand}/assignee", ['person' => null], $match)->assertStatus(412);
    $today = $this->api('GET', '/today')->assertOk()->assertJsonPath('person', $ada['id']);
    expect(collect($today->json('lines'))->firstWhere('id', $stand)['assignee'])->toBe($ada);
});

it('answers the lists in a fixed number of queries, however many stands', function (string $path) {
    $this->as();
    $count = function () use ($path): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->api('GET', $path)->assertOk();

        // the framework sweeps old sessions on a chance request; that is no query of the list
        return count(
            array_filter(DB::getQueryLog(), static fn(array $q): bool => !str_contains($q['query'], 'sessions')),
        );
    };
    $model = Stand::query()->findOrFail($this->standId('tree-of-heaven'));
    $model->forceFill(['person_id' => App\Models\Person::query()->value('id')])->save();
    $count();
    $before = $count();
    for ($i = 0; $i < 8; ++$i) {
        $copy = Stand::create(['patch_id' => $model->patch_id, 'species' => 'red-maple']);
        $copy->forceFill(['person_id' => App\Models\Person::query()->value('id')])->save();
        Tally::create([
            'stand_id' => $copy->id,
            'visited_on' => '2026-09-01',
            'rows' => [['diameter' => '2 in', 'count' => 4]],
            'made_by' => App\Models\User::query()->value('id'),
        ]);
    }
    expect($count())->toBe($before)->and($before)->toBeLessThan(30);
})->with(['today' => ['/today'], 'grounds' => ['/grounds']]);
