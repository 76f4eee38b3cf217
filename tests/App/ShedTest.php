<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\Container;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Models\Record;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\StockWithdrawal;
use App\Models\Tool;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;

/*
 * The Shed and the mixing through the API: stock that never falls below nought, sprayers, tools, people, batches and
 * what is bought.
 */

it('keeps containers: put on the shelf, moved, measured, weighed, spilled, and handed in only when empty', function () {
    $this->as();
    $card = LabelCard::query()->where('product', 'like', 'Glyphosate%')->firstOrFail();
    $this->api('POST', '/shed/containers', [
        'cardId' => $card->id,
        'size' => '5 L',
        'lot' => 'NEW-1',
        'expiresOn' => '2026-10-01',
    ])->assertCreated();
    $one = shelf($this, 'NEW-1');
    expect($one['left']['value'])->toBe('5')->and($one['advice']['code'])->toBe('stock.expires-soon');
    $this->api(
        'PATCH',
        "/shed/containers/{$one['id']}",
        ['lot' => 'NEW-1', 'place' => 'Barn', 'expiresOn' => '2028-10-01', 'tare' => '400 g'],
        ['If-Match' => '"1"'],
    )->assertOk();
    $this->api('PATCH', "/shed/containers/{$one['id']}", ['place' => 'Attic'], ['If-Match' => '"1"'])->assertStatus(
        412,
    );
    $draw = fn(array $body) => $this->api('POST', "/shed/containers/{$one['id']}/draws", $body);
    $draw(['kind' => 'spilled', 'amount' => '1.5 L', 'reason' => 'Jug tipped over'])->assertCreated();
    $draw(['kind' => 'measured', 'amount' => '3.2 L'])->assertCreated();
    expect(shelf($this, 'NEW-1')['left']['value'])
        ->toBe('3.2')
        ->and(array_column(shelf($this, 'NEW-1')['draws'], 'kind'))
        ->toBe(['measured', 'spilled']);
    // weighed: the card says nothing of a litre's weight, so a scale cannot tell litres
    $draw(['kind' => 'weighed', 'weight' => '2 kg'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/weight');
    $version = LabelCardVersion::query()->where('label_card_id', $card->id)->latest('version')->firstOrFail();
    $version->update(['body' => $version->body + ['density' => '1200 g/L']]);
    // 2800 g less 400 g of jug at 1200 g a litre: 2 L
    $draw(['kind' => 'weighed', 'weight' => '2.8 kg'])->assertCreated();
    expect(shelf($this, 'NEW-1')['left']['value'])->toBe('2');
    $draw(['kind' => 'weighed', 'weight' => '300 g'])->assertStatus(422);
    foreach ([['kind' => 'spilled', 'amount' => '2.1 L'], ['kind' => 'measured', 'amount' => '5.1 L']] as $tooMuch) {
        $draw($tooMuch)->assertStatus(409);
    }
    foreach (
        [
            ['kind' => 'drunk', 'amount' => '1 L'],
            ['kind' => 'spilled', 'amount' => '1 kg'],
            ['kind' => 'spilled', 'amount' => 'a glug'],
            ['kind' => 'spilled'],
        ]
        as $wrong
    ) {
        $draw($wrong)->assertStatus(422);
    }
    $this->api('DELETE', "/shed/containers/{$one['id']}")->assertStatus(409);
    $draw(['kind' => 'disposed', 'amount' => '2 L'])->assertCreated();
    expect(shelf($this, 'NEW-1')['advice']['code'])->toBe('stock.empty');
    $this->api('DELETE', "/shed/containers/{$one['id']}")->assertOk();
    expect(shelf($this, 'NEW-1'))
        ->toBe([])
        ->and(StockWithdrawal::query()->where('container_id', $one['id'])->count())
        ->toBe(4);
});

it('refuses containers that cannot be', function (array $change, string $pointer) {
    $this->as();
    $body = $change + ['cardId' => LabelCard::query()->firstOrFail()->id, 'size' => '5 L'];
    expect(
        array_column($this->api('POST', '/shed/containers', $body)->assertStatus(422)->json('errors'), 'pointer'),
    )->toContain($pointer);
})->with([
    'no such card' => [['cardId' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31'], '/cardId'],
    'nothing in it' => [['size' => '0 L'], '/size'],
    'a length' => [['size' => '3 ft'], '/size'],
    'more left than it holds' => [['left' => '6 L'], '/left'],
    'left by weight' => [['left' => '2 kg'], '/left'],
    'a day that is none' => [['expiresOn' => '2026-02-30'], '/expiresOn'],
]);

it('does not let two people at once take what is there only once', function () {
    $this->as();
    $other = DB::connectUsing('beside', config('database.connections.mariadb'));
    $user = User::query()->where('role', 'lead')->firstOrFail();
    $id = (string) Str::uuid7();
    // outside the transaction of this test, so that other processes see it
    $other->table('containers')->insert([
        'id' => $id,
        'crew_id' => $user->crew_id,
        'label_card_id' => LabelCard::query()->firstOrFail()->id,
        'size_value' => '1',
        'size_unit' => 'L',
        'remaining' => '1.000000000',
    ]);
    try {
        $stroke = microtime(true) + 2.5;
        $all = array_map(
            static fn(): Process => new Process([
                'php',
                __DIR__ . '/fixtures/draw-at-once.php',
                $id,
                $user->id,
                '0.3',
                (string) $stroke,
            ]),
            range(1, 6),
        );
        array_walk($all, static fn(Process $p) => $p->start());
        array_walk($all, static fn(Process $p) => $p->wait());
        $said = array_count_values(array_map(static fn(Process $p): string => $p->getOutput(), $all));
        expect($said)
            ->toEqual(['took' => 3, 'refused' => 3])
            ->and((string) $other->table('containers')->where('id', $id)->value('remaining'))
            ->toBe('0.100000000')
            ->and(
                $other
                    ->table('draws')
                    ->where('container_id', $id)
                    ->pluck('left')
                    ->map(strval(...))
                    ->sort()
                    ->values()
                    ->all(),
            )
            ->toBe(['0.100000000', '0.400000000', '0.700000000']);
    } finally {
        $other->table('draws')->where('container_id', $id)->delete();
        $other->table('containers')->where('id', $id)->delete();
    }
});

it('writes a batch only in order and once each, draws its product, labels it, and the record holds it', function () {
    $step = maples($this);
    $recipe = $this->api('GET', "/steps/{$step->id}/recipe")->json();
    $load = $recipe['loads'][0];
    $order = array_column($load['steps'], 'what');
    expect($order)->toBe(['product', 'dye', 'oil-to-mark']);
    $jug = shelf($this, 'T-2291');
    foreach (
        [['product', 'product', 'dye', 'oil-to-mark'], ['dye', 'product', 'oil-to-mark'], ['product', 'dye'], []]
        as $wrong
    ) {
        $this->api('POST', "/steps/{$step->id}/batches", ['load' => 0, 'confirmed' => $wrong])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/confirmed');
    }
    $this->api('POST', "/steps/{$step->id}/batches", ['load' => 7, 'confirmed' => $order])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/load');
    $this->api('POST', "/steps/{$step->id}/batches", [
        'load' => 0,
        'confirmed' => $order,
        'draws' => [['containerId' => $jug['id'], 'amount' => '1 L']],
    ])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/draws');
    $batch = $this->api('POST', "/steps/{$step->id}/batches", [
        'load' => 0,
        'confirmed' => $order,
        'draws' => [['containerId' => $jug['id']]],
    ])->assertCreated();
    expect($batch->json('label.contents'))
        ->toContain('Triclopyr ester')
        ->toContain('oil')
        ->and($batch->json('label.useBy'))
        ->toContain('2026-09-03 23:59')
        ->and($batch->json('label.strength.us'))
        ->toBe($recipe['strength']['percent']['shown']['us']);
    $after = shelf($this, 'T-2291');
    // to a nanolitre: what left the jug is what the load took
    expect(
        bccomp(
            bcsub($jug['left']['value'], $after['left']['value'], 9),
            bcadd(
                (string) Thicket\Measure\Quantity::of(
                    $load['product']['value'],
                    Thicket\Measure\Unit::from($load['product']['unit']),
                )->decimal(Thicket\Measure\Unit::Litre, 9, Brick\Math\RoundingMode::HALF_UP),
                '0',
                9,
            ),
            8,
        ),
    )
        ->toBe(0)
        ->and($after['draws'][0])
        ->toMatchArray(['kind' => 'mixed', 'batch' => $batch->json('number'), 'recordId' => null]);
    // a jug too small for the load: no batch and no draw
    $before = Batch::query()->count();
    Container::query()
        ->whereKey($jug['id'])
        ->update(['remaining' => '0.001']);
    $this->api('POST', "/steps/{$step->id}/batches", [
        'load' => 0,
        'confirmed' => $order,
        'draws' => [['containerId' => $jug['id']]],
    ])->assertStatus(409);
    expect(Batch::query()->count())
        ->toBe($before)
        ->and((float) shelf($this, 'T-2291')['left']['value'])
        ->toBe(0.001);
    // counted again, the recipe no longer stands, and nothing is mixed by it
    $this->api('PUT', '/stands/' . $this->standId('norway-maple') . '/tally', [
        'rows' => [['diameter' => '3 in', 'count' => 30]],
    ])->assertOk();
    $this->api('POST', "/steps/{$step->id}/batches", ['load' => 0, 'confirmed' => $order])->assertStatus(409);
    $this->as('cleo')
        ->api('POST', "/steps/{$step->id}/batches", ['load' => 0, 'confirmed' => $order])
        ->assertStatus(403);
});

it('parts the loads with leftover and helpers, and says what blocks a mix', function () {
    $step = maples($this);
    $get = fn(string $query) => $this->api('GET', "/steps/{$step->id}/recipe?{$query}");
    // a leftover of nobody knows what is asked after, and not counted
    expect(array_column($get('leftover=5 fl oz')->json('words'), 'code'))->toContain('mix.leftover-of-what');
    $order = array_column($get('')->json('loads.0.steps'), 'what');
    $batch = $this->api('POST', "/steps/{$step->id}/batches", ['load' => 0, 'confirmed' => $order])
        ->assertCreated()
        ->json('id');
    $carried = $get("people=2&leftover=5 fl oz&leftoverFrom={$batch}")->assertOk();
    $plan = $carried->json('plan');
    expect($plan['people'])
        ->toBe(2)
        ->and($plan['loads'][0]['carried']['shown']['us'])
        ->toBe('5 fl oz')
        ->and($plan['loads'][1]['person'])
        ->toBe(2)
        ->and($plan['loads'][1]['doneAfter'])
        ->toBe('100')
        ->and($carried->json('finished'))
        ->toBeTrue();
    // poured in and used up: the recipe does not reckon with it twice
    $this->api(
        'PUT',
        "/steps/{$step->id}/recipe",
        ['leftover' => '5 fl oz', 'leftoverFrom' => $batch],
        ['If-Match' => $carried->headers->get('ETag')],
    )->assertOk();
    $steps = array_column($get('')->json('loads.0.steps'), 'what');
    expect($steps[0])->toBe('leftover');
    $this->api('POST', "/steps/{$step->id}/batches", ['load' => 0, 'confirmed' => $steps])->assertCreated();
    expect($get('')->json('leftover'))->toBeNull()->and($get('')->json('saved'))->toBeTrue();
    Batch::query()
        ->whereKey($batch)
        ->update(['mixed_at' => '2026-09-02 13:00:00']);
    expect(array_column($get("leftover=5 fl oz&leftoverFrom={$batch}")->json('words'), 'code'))->toContain(
        'mix.leftover-old',
    );
    $blocked = $get('carrier=water')->assertOk();
    expect(array_column($blocked->json('words'), 'code'))
        ->toContain('mix.carrier-not-on-card', 'mix.bark-wants-oil')
        ->and($blocked->json('finished'))
        ->toBeFalse();
    $this->api(
        'PUT',
        "/steps/{$step->id}/recipe",
        ['carrier' => 'water'],
        ['If-Match' => $blocked->headers->get('ETag')],
    )->assertStatus(409);
    $ways = $get('')->json('ways');
    expect($ways['parts'])
        ->toBe('1:3')
        ->and($ways['trap'])
        ->toContain('25 %')
        ->toContain('33 %')
        ->and($ways['active'])
        ->toBe('120 g a.e./L');
    foreach (
        [
            'people=0' => '/people',
            'people=21' => '/people',
            'leftover=some' => '/leftover',
            'water=salty' => '/water',
            'surfactant=glug' => '/surfactant',
        ]
        as $query => $pointer
    ) {
        $get($query)->assertStatus(422)->assertJsonPath('errors.0.pointer', $pointer);
    }
    // on the crew's own cylinder and cup
    expect(array_column($get('')->json('measure'), 'own'))->toBe([true, true]);
});

it('prints the mixing card as a PDF, in the units of the crew with the others in brackets', function () {
    $step = maples($this);
    $stand = $step->stands()->firstOrFail();
    $recipe = $this->api('GET', "/steps/{$step->id}/recipe")
        ->assertOk()
        ->json();
    $text = static fn(string $units): string => (string) preg_replace(
        '/\s+/',
        ' ',
        strip_tags(app(App\Print\MixingCardPdf::class)->html($recipe, $stand, $step, $units)),
    );
    // 17.1 fl oz: what goes in is told as far as anybody sees it; the product as the tool measures it, and exactly
    expect($text('us'))
        ->toContain('17.1 fl oz (506 mL) each', '126 mL', 'exactly 4.275 fl oz (126.4 mL)', 'to the 4.275 fl oz')
        ->and($text('metric'))
        ->toContain('about 506 mL (17.1 fl oz) each');
    $paper = $this->api('POST', '/papers', ['kind' => 'mixing-card', 'of' => $step->id])
        ->assertStatus(202)
        ->json('id');
    $this->api('GET', "/papers/{$paper}")
        ->assertOk()
        ->assertJsonPath('state', 'ready');
    expect(
        file_get_contents(
            (string) $this->api('GET', "/papers/{$paper}/file")
                ->assertOk()
                ->baseResponse->getFile(),
            false,
            null,
            0,
            5,
        ),
    )->toBe('%PDF-');
});

it('keeps a sprayer, forgets what another nozzle gave, and finds plans that a calibration changes', function () {
    $this->as();
    $this->api('POST', '/shed/sprayers', [
        'name' => 'Field boom',
        'kind' => 'boom',
        'tank' => '50 gal',
        'material' => 'stainless',
        'solventProof' => true,
        'nozzle' => 'flat fan',
        'ratedFlow' => '0.8 L',
    ])->assertCreated();
    $find = fn() => collect($this->api('GET', '/shed')->json('sprayers'))->firstWhere('name', 'Field boom');
    $id = $find()['id'];
    expect($find())->toMatchArray(['due' => true, 'gives' => null, 'material' => 'stainless']);
    $tried = $this->api('POST', "/shed/sprayers/{$id}/calibrations", [
        'way' => 'moving',
        'caught' => '0.8 L',
        'time' => '60',
        'speed' => '6 km/h',
        'spacing' => '0.5 m',
        'try' => true,
    ])->assertOk();
    expect($tried->json('gives.value'))->toBe('160')->and($find()['gives'])->toBeNull();
    $kept = $this->api('POST', "/shed/sprayers/{$id}/calibrations", [
        'way' => 'course',
        'caught' => '24 fl oz',
        'nozzles' => ['0.8 L', '0.79 L', '0.95 L'],
    ])->assertCreated();
    expect($kept->json('gives.shown.us'))
        ->toBe('24 US gal/ac')
        ->and(array_column($kept->json('nozzles.each'), 'worn'))
        ->toBe([true, true, true])
        ->and($kept->json('nozzles.replaceSet'))
        ->toBeTrue();
    expect($find())
        ->toMatchArray(['due' => false, 'calibratedOn' => '2026-09-03', 'dueOn' => '2027-09-03'])
        ->and($find()['history'][0])
        ->toMatchArray(['way' => 'course', 'worn' => 3]);
    foreach (
        [
            ['way' => 'guess'],
            ['way' => 'course'],
            ['way' => 'course', 'caught' => '0 L'],
            ['way' => 'moving', 'caught' => '1 L', 'time' => '60', 'speed' => '0 km/h', 'spacing' => '0.5 m'],
            ['way' => 'bottle', 'caught' => '50 mL', 'strokes' => 0],
            ['way' => 'course', 'caught' => '24 fl oz', 'nozzles' => ['much']],
        ]
        as $wrong
    ) {
        $this->api('POST', "/shed/sprayers/{$id}/calibrations", $wrong)->assertStatus(422);
    }
    $body = ['name' => 'Field boom', 'kind' => 'boom', 'tank' => '50 gal', 'nozzle' => 'cone'];
    $this->api('PUT', "/shed/sprayers/{$id}", $body, ['If-Match' => '"1"'])->assertStatus(412);
    $this->api('PUT', "/shed/sprayers/{$id}", $body, ['If-Match' => '"' . $find()['revision'] . '"'])->assertOk();
    expect($find())->toMatchArray(['gives' => null, 'calibratedOn' => null, 'due' => true]);

    // a strip spray saved by what the sprayer gave: measured again, the plan has to be looked at again
    $blue = Sprayer::query()->where('name', 'Blue backpack')->firstOrFail();
    $orchard = $this->standId('quackgrass');
    /** @var Step $step */
    $step = Step::query()->whereHas('stands', fn($q) => $q->whereKey($orchard))->whereNotNull('active')->firstOrFail();
    $version = LabelCardVersion::query()->whereKey($step->label_card_version_id)->firstOrFail();
    $version->update([
        'body' =>
            [
                'methods' => [
                    ['method' => 'pasture-broadcast', 'rateMost' => '2 qt/ac', 'spray' => '20 gal/ac'],
                    ...$version->body['methods'],
                ],
            ] + $version->body,
    ]);
    $step->update(['method' => 'strip-spray', 'sprayer_id' => $blue->id, 'recipe' => null, 'recipe_basis' => null]);
    $version->update([
        'body' =>
            [
                'methods' => [
                    ['method' => 'strip-spray', 'rateMost' => '2 qt/ac', 'spray' => '20 gal/ac'],
                    ...$version->body['methods'],
                ],
            ] + $version->body,
    ]);
    $recipe = $this->api('GET', "/steps/{$step->id}/recipe")->assertOk();
    expect($recipe->json('finished'))->toBeTrue();
    $this->api('PUT', "/steps/{$step->id}/recipe", [], ['If-Match' => $recipe->headers->get('ETag')])->assertOk();
    $changed = $this->api('POST', "/shed/sprayers/{$blue->id}/calibrations", [
        'way' => 'course',
        'caught' => '36 fl oz',
    ])
        ->assertCreated()
        ->json('changed');
    expect(array_column($changed, 'standId'))->toBe([$orchard]);
    $this->api('GET', "/steps/{$step->id}/recipe")->assertJsonPath('saved', false);
});

it('keeps tools and lends them; what is lent is not at hand', function () {
    $this->as();
    $find = fn(string $name) => collect($this->api('GET', '/shed')->json('tools'))->firstWhere('name', $name);
    expect($find('Short loppers')['loan'])->toMatchArray(['to' => 'Wren Mossgrove, next farm', 'late' => true]);
    $puller = $find('Big lever puller');
    expect($puller['jaw'])->toBe('2 in');
    $row = fn() => $this->boardRow($this->standId('common-privet'), 'lever-pull');
    expect(array_column($row()['findings'], 'code'))->not->toContain('tool.missing');
    $this->api('POST', "/shed/tools/{$puller['id']}/loans", [
        'to' => 'Neighbour',
        'dueOn' => '2026-09-01',
    ])->assertStatus(422);
    $this->api('POST', "/shed/tools/{$puller['id']}/loans", [
        'to' => 'Neighbour',
        'dueOn' => '2026-09-30',
    ])->assertCreated();
    $this->api('POST', "/shed/tools/{$puller['id']}/loans", ['to' => 'Another'])->assertStatus(409);
    expect(array_column($row()['findings'], 'code'))->toContain('tool.missing');
    $loan = $find('Big lever puller')['loan']['id'];
    $this->api('POST', "/shed/loans/{$loan}/return", '{')
        ->assertStatus(400)
        ->assertJsonPath('detail', 'The body must be JSON.');
    // the browser sends no body where there is nothing to say
    $this->api('POST', "/shed/loans/{$loan}/return", '')->assertOk();
    $this->api('POST', "/shed/loans/{$loan}/return")->assertStatus(409);
    expect(array_column($row()['findings'], 'code'))->not->toContain('tool.missing');
    $this->api('POST', '/shed/tools', [
        'name' => 'Small jug',
        'kind' => 'jug',
        'graduation' => '5 mL',
        'holds' => '100 mL',
    ])->assertCreated();
    foreach (
        [
            ['name' => 'Jug', 'kind' => 'jug'],
            ['name' => 'Jug', 'kind' => 'jug', 'graduation' => '5 mL', 'holds' => '4 mL'],
            ['name' => 'Jug', 'kind' => 'jug', 'graduation' => '0 mL', 'holds' => '4 mL'],
            ['name' => 'Scale', 'kind' => 'scale', 'graduation' => '5 mL', 'holds' => '400 mL'],
            ['name' => 'Saw', 'kind' => 'saw', 'holds' => '1 L'],
            ['name' => 'Wand', 'kind' => 'wand'],
            ['kind' => 'saw'],
            ['name' => 'Saw', 'kind' => 'saw', 'clearance' => 'wizard'],
        ]
        as $wrong
    ) {
        $this->api('POST', '/shed/tools', $wrong)->assertStatus(422);
    }
    $this->api('DELETE', '/shed/tools/' . $find('Small jug')['id'])->assertOk();
    expect($find('Small jug'))
        ->toBeNull()
        ->and(Tool::query()->where('name', 'Small jug')->exists())
        ->toBeTrue();
});

it('keeps people by a lead, with until when a licence holds', function () {
    $this->as();
    $this->api('POST', '/shed/people', [
        'name' => 'Fern Ashdown',
        'licence' => 'T-77',
        'licenceClass' => 'right of way',
        'licenceUntil' => '2027-01-31',
        'clearances' => ['saw', 'felling'],
    ])->assertCreated();
    $person = collect($this->api('GET', '/shed')->json('people'))->firstWhere('name', 'Fern Ashdown');
    expect($person)->toMatchArray([
        'licensed' => true,
        'licenceClass' => 'right of way',
        'clearances' => ['saw', 'felling'],
    ]);
    $this->api('POST', '/shed/people', ['name' => 'Nobody', 'licence' => 'T-78'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/licenceUntil');
    $this->api(
        'PUT',
        "/shed/people/{$person['id']}",
        ['name' => 'Fern Ashdown', 'licence' => 'T-77', 'licenceUntil' => '2026-09-02', 'clearances' => []],
        ['If-Match' => '"1"'],
    )->assertOk();
    expect(
        collect($this->api('GET', '/shed')->json('people'))->firstWhere('name', 'Fern Ashdown')['licensed'],
    )->toBeFalse();
    $this->as('cleo')
        ->api('POST', '/shed/people', ['name' => 'Intruder'])
        ->assertStatus(403);
});

it('makes the shopping list from the saved recipes, and gives it as CSV', function () {
    $step = maples($this);
    $list = $this->api('GET', '/shed/shopping')->assertOk();
    $ester = collect($list->json('lines'))->firstWhere('product', 'Triclopyr ester 480 g/L, oil-soluble');
    // 1.35 L on the shelf will do for eighteen stems
    expect($ester['jobs'])
        ->toBe(1)
        ->and($ester['purchase']['bought'])
        ->toBe([])
        ->and($ester['onShelf']['value'])
        ->toBe('1.35');
    Container::query()
        ->where('lot', 'T-2291')
        ->update(['remaining' => '0']);
    $ester = collect($this->api('GET', '/shed/shopping')->json('lines'))->firstWhere('cardId', $ester['cardId']);
    expect($ester['purchase']['bought'])
        ->toHaveCount(1)
        ->and($ester['purchase']['cost'])
        ->toBe('38.00')
        ->and($ester['stale'])
        ->toBeFalse();
    $packs = fn(array $list) => $this->api(
        'PUT',
        "/shed/cards/{$ester['cardId']}/packs",
        ['packs' => $list],
        ['If-Match' => (string) $this->api('GET', '/shed')->headers->get('ETag')],
    );
    $this->api('PUT', "/shed/cards/{$ester['cardId']}/packs", ['packs' => []])->assertStatus(428);
    $packs([['size' => '1 qt', 'price' => '31.50', 'on' => '2024-01-05']])->assertOk();
    $shed = $this->api('GET', '/shed');
    $this->api(
        'PATCH',
        '/shed/choices',
        ['kit' => [['item' => '=harness', 'amount' => '45', 'on' => '2026-05-01']]],
        ['If-Match' => $shed->headers->get('ETag')],
    )->assertOk();
    $csv = (string) $this->get('/api/v1/shed/shopping.csv')->assertOk()->getContent();
    $lines = array_map(static fn(string $line): array => str_getcsv($line, escape: ''), explode("\n", trim($csv)));
    expect($lines[0])
        ->toContain('cost_USD')
        ->and(collect($lines)->first(static fn(array $l): bool => str_starts_with($l[0], 'Triclopyr')))
        ->toContain('31.50', 'yes')
        ->and($lines[count($lines) - 1][0])
        ->toBe("'=harness");
    foreach (
        [
            [['size' => '3 ft', 'price' => '3']],
            [['size' => '1 L', 'price' => '-3']],
            [['size' => '0 L', 'price' => '3']],
        ]
        as $wrong
    ) {
        $packs($wrong)->assertStatus(422);
    }
    $this->api('POST', '/mix/purchase', [
        'need' => '7 L',
        'packs' => [['size' => '5 L', 'price' => '60'], ['size' => '1 L', 'price' => '20']],
    ])
        ->assertOk()
        ->assertJsonPath('cost', '100.00');
    $this->api('POST', '/mix/purchase', ['need' => '7 L', 'packs' => [['size' => '5 kg', 'price' => '60']]])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/packs/0/size');
});

it('solves sums over the wire, with its contradictions and directions in words', function () {
    $this->as();
    $sums = $this->api('GET', '/mix/sums')->assertOk()->json('sums');
    expect(array_column($sums, 'id'))->toHaveCount(11);
    foreach ($sums as $sum) {
        expect($sum['name'])
            ->not->toContain('sum.')
            ->and(implode(' ', array_column($sum['fields'], 'name')))
            ->not->toContain('sum.field');
    }
    $solved = $this->api('POST', '/mix/sums', [
        'sum' => 'make-up',
        'known' => ['finished' => '1 gal', 'strength' => '1:4'],
    ])->assertOk();
    expect($solved->json('ways.parts'))
        ->toBe('1:4')
        ->and($solved->json('ways.trap'))
        ->toContain('20 %')
        ->and($solved->json('tool.name'))
        ->toBeIn(['Measuring cup', 'Litre jug', 'Glass cylinder']);
    $this->api('POST', '/mix/sums', [
        'sum' => 'make-up',
        'known' => ['finished' => '1 gal', 'strength' => '20 %', 'product' => '1 qt'],
    ])
        ->assertOk()
        ->assertJsonPath('faults.0.code', 'contradiction');
    $this->api('POST', '/mix/sums', [
        'sum' => 'in-tank',
        'known' => ['inTank' => '10 L', 'strengthNow' => '3 %', 'target' => '2 %'],
    ])
        ->assertOk()
        ->assertJsonPath('correction.state', 'strong');
    $this->api('POST', '/mix/sums', ['sum' => 'make-up', 'known' => ['finished' => 'a lot']])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/known/finished');
    // a layer is typed and told as a depth: 30 min of 20 L/min on 100 m2 are 6 mm, half a millimetre less than asked
    $wet = $this->api('POST', '/mix/sums', [
        'sum' => 'water-in',
        'known' => ['flow' => '20 L/min', 'run' => '30 min', 'area' => '100 m2', 'labelLeast' => '6.5 mm'],
    ])->assertOk();
    expect(collect($wet->json('values'))->firstWhere('field', 'depth')['value']['shown']['metric'])
        ->toBe('6 mm')
        ->and($wet->json('warnings.0.text.metric'))
        ->toContain('6 mm')
        ->toContain('6.5 mm')
        ->not->toContain('L/m');
});

it('finds a card by a name it had before, by its registration and by its active', function () {
    $this->as();
    $card = LabelCard::query()->where('product', 'like', 'Glyphosate%')->firstOrFail();
    $document = $this->api('GET', "/shed/cards/{$card->id}/export")
        ->assertOk()
        ->json('card');
    $this->api('POST', '/shed/cards', [
        'card' =>
            ['product' => 'Newname SL', 'formerNames' => ['Oldname 41'], 'registration' => 'SAMPLE-77'] + $document,
    ])->assertCreated();
    $cards = fn(string $typed): array => collect(
        $this->api('GET', '/search?q=' . rawurlencode($typed))
            ->assertOk()
            ->json('data'),
    )
        ->where('kind', 'card')
        ->values()
        ->all();
    expect($cards('oldname')[0])
        ->toMatchArray(['name' => 'Newname SL', 'detail' => 'Oldname 41'])
        ->and($cards('oldnmae 41')[0]['name'] ?? null)
        ->toBe('Newname SL')
        ->and($cards('sample-77')[0]['name'])
        ->toBe('Newname SL')
        ->and(array_column($cards('glyphosate'), 'name'))
        ->toContain('Newname SL')
        ->and($cards('nothing at all'))
        ->toBe([]);
});

it(
    'hands a card on as a document that its schema knows, and takes it in unconfirmed; a new version tells what ' .
        'changed',
    function () {
        $this->as();
        $card = LabelCard::query()->where('product', 'like', 'Glyphosate%')->firstOrFail();
        $document = $this->api('GET', "/shed/cards/{$card->id}/export")
            ->assertOk()
            ->json();
        $validator = new Validator();
        $validator
            ->resolver()
            ?->registerPrefix('https://gallant-thicket.example/schemas/', dirname(__DIR__, 2) . '/docs/schemas');
        expect(
            $validator
                ->validate(
                    json_decode((string) json_encode($document)),
                    'https://gallant-thicket.example/schemas/label-card.schema.json',
                )
                ->isValid(),
        )->toBeTrue();
        $this->api('POST', '/shed/cards', ['card' => ['product' => 'Taken in'] + $document['card']])->assertCreated();
        $taken = collect($this->api('GET', '/shed')->json('cards'))->firstWhere('product', 'Taken in');
        expect($taken['versions'][0]['confirmed'])->toBeFalse();
        $this->api('POST', '/shed/cards', [
            'cardId' => $taken['id'],
            'card' =>
                [
                    'product' => 'Taken in',
                    'rainfastHours' => 2,
                    'methods' => [
                        [
                            'method' => 'foliar-spot',
                            'max' => '1%',
                            'stages' => ['rosette'],
                            'from' => '03-01',
                            'to' => '05-31',
                            'toWater' => false,
                        ],
                        ...$document['card']['methods'],
                    ],
                    'siteLimits' => [['sites' => ['pasture'], 'perYear' => '2 kg ae/ha', 'applications' => 2]],
                ] + $document['card'],
        ])->assertCreated();
        $taken = collect($this->api('GET', '/shed')->json('cards'))->firstWhere('product', 'Taken in');
        expect($taken['versions'])
            ->toHaveCount(2)
            ->and(collect($taken['versions'][0]['changes'])->sortBy('field')->values()->all())
            ->toBe([
                [
                    'field' => 'methods',
                    'was' => '',
                    'now' => 'Foliar spot spray, most 1%, rosette, from 03-01, to 05-31',
                ],
                ['field' => 'rainfastHours', 'was' => '6', 'now' => '2'],
                [
                    'field' => 'siteLimits',
                    'was' => '',
                    'now' => 'pasture, most in a year 2 kg ae/ha, times in a year 2',
                ],
            ])
            ->and($taken['versions'][0]['methods'][0])
            ->toMatchArray(['stages' => ['rosette'], 'from' => '03-01', 'to' => '05-31']);
    },
);

it(
    'counts what was put on shared ground by another patch, blocks the sheet, and says what is still allowed',
    function () {
        $step = maples($this);
        $stand = Stand::query()->with('patch.outline')->findOrFail($this->standId('norway-maple'));
        $record = Record::query()->firstOrFail();
        $put = static function (string $patch, string $grams) use ($record): void {
            $body = json_decode($record->body, true);
            $body['activesPerArea'] = [['active' => 'triclopyr-ester', 'value' => $grams, 'unit' => 'g_ae/ha']];
            $copy = $record->replicate(['id']);
            $copy
                ->fill([
                    'id' => (string) Str::uuid7(),
                    'seq' => 1 + (int) Record::query()->max('seq'),
                    'patch_id' => $patch,
                    'worked_on' => '2026-05-05',
                    'body' => json_encode($body),
                ])
                ->save();
        };
        // a patch of its own over the same ground, and one far away
        $over = App\Models\Patch::create([
            'ground_id' => $stand->patch->ground_id,
            'name' => 'Laid over',
            'setting' => 'woods',
        ]);
        App\Models\PatchOutline::create(
            [
                'patch_id' => $over->id,
                'valid_from' => '2025-01-01',
                'area_m2' => $stand->patch->outline->area_m2,
                'made_by' => User::query()->firstOrFail()->id,
            ] + $stand->patch->outline->only(['outline', 'coarse', 'west', 'south', 'east', 'north']),
        );
        $before = $this->api('GET', "/steps/{$step->id}/recipe")->json('ceiling.planned.value');
        $put($this->api('GET', '/stands/' . $this->standId('scotch-broom'))->json('patchId'), '5000');
        expect($this->api('GET', "/steps/{$step->id}/recipe")->json('ceiling.planned.value'))->toBe($before);
        $put($over->id, '8999');
        expect((float) $this->api('GET', "/steps/{$step->id}/recipe")->json('ceiling.planned.value'))->toBeGreaterThan(
            (float) $before + 8998,
        );
        $gate = collect($this->api('GET', "/stands/{$stand->id}/gates")->json('gates'))->firstWhere(
            'code',
            'ceiling-left',
        );
        expect($gate['passable'])->toBeFalse()->and($gate['text']['us'])->toContain('still leaves');
    },
);

it('shuts the sheet when the label changes, says what changed, and goes on only by a lead', function () {
    $step = maples($this);
    $stand = $this->standId('norway-maple');
    $version = LabelCardVersion::query()->whereKey($step->label_card_version_id)->firstOrFail();
    // the look-alike and what else is open is not of this test: the sheet is a copy of another
    $sheet = App\Models\Sheet::create([
        'crew_id' => User::query()->firstOrFail()->crew_id,
        'number' => 9001,
        'snapshot' => ['standId' => $stand, 'stepId' => $step->id] + App\Models\Sheet::query()->firstOrFail()->snapshot,
        'issued_by' => User::query()->firstOrFail()->id,
        'issued_at' => now(),
    ]);
    $sheet->steps()->attach($step->id);
    $gate = fn() => array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code');
    expect($gate())
        ->not->toContain('card-newer')
        ->and($this->api('GET', "/sheets/{$sheet->id}")->json('cardChanges'))
        ->toBe([]);

    $this->api('POST', '/shed/cards', [
        'cardId' => $version->label_card_id,
        'card' => ['rainfastHours' => 8] + $version->body,
    ])->assertCreated();
    // entered only: nothing is shut before somebody confirms it
    expect($gate())->not->toContain('card-newer');
    $newer = LabelCardVersion::query()
        ->where('label_card_id', $version->label_card_id)
        ->orderByDesc('version')
        ->firstOrFail();
    $this->api('POST', "/shed/card-versions/{$newer->id}/confirm")->assertOk();
    expect($gate())
        ->toContain('card-newer')
        ->and($this->api('GET', "/sheets/{$sheet->id}")->json('cardChanges'))
        ->toBe([['field' => 'rainfastHours', 'was' => '4', 'now' => '8']]);

    $recipe = $this->api('GET', "/steps/{$step->id}/recipe")->assertJsonPath('card.newer.version', 2);
    $match = ['If-Match' => $recipe->headers->get('ETag')];
    $this->api('PUT', "/steps/{$step->id}/card", [], $match)->assertStatus(409);
    $this->api('POST', "/sheets/{$sheet->id}/withdraw", ['reason' => ''])->assertStatus(422);
    $this->as('cleo')
        ->api('POST', "/sheets/{$sheet->id}/withdraw", ['reason' => 'the label changed'])
        ->assertStatus(403);
    $this->as()
        ->api('POST', "/sheets/{$sheet->id}/withdraw", ['reason' => 'the label changed'])
        ->assertOk()
        ->assertJsonPath('withdrawn', true)
        ->assertJsonPath('withdrawal.reason', 'the label changed');
    $this->api('POST', "/sheets/{$sheet->id}/withdraw", ['reason' => 'again'])->assertStatus(409);
    $taken = $this->api('PUT', "/steps/{$step->id}/card", [], $match)
        ->assertOk()
        ->assertJsonPath('card.version', 2)
        ->assertJsonPath('card.newer', null)
        ->assertJsonPath('saved', false);
    $this->api('PUT', "/steps/{$step->id}/card", [], ['If-Match' => $taken->headers->get('ETag')])->assertStatus(409);
    expect($gate())->toContain('recipe')->not->toContain('card-newer');
});

it('reminds of what in the Shed is due, the longest due first', function () {
    $this->as();
    $shed = $this->api('GET', '/today')->assertOk()->json('shed');
    expect(array_column($shed, 'text'))->toBe([
        'Green squirt bottle: calibrate',
        'Old rose corner: a record far out of the common, does it count?',
        'Glyphosate 360 g/L, water-borne: past its date',
        'Short loppers: lent, not brought back',
    ]);
    // due today is not overdue
    Sprayer::query()
        ->where('name', 'Blue backpack')
        ->update(['due_on' => '2026-09-03']);
    expect(array_column($this->api('GET', '/today')->json('shed'), 'text'))->not->toContain('Blue backpack: calibrate');
    Sprayer::query()
        ->where('name', 'Blue backpack')
        ->update(['due_on' => '2026-09-02']);
    expect(array_column($this->api('GET', '/today')->json('shed'), 'text'))->toContain('Blue backpack: calibrate');
});
