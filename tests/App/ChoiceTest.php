<?php

declare(strict_types=1);

use App\Models\Record;
use App\Models\Stand;
use App\Models\Step;

/* Programmes, side by side, costs and prices through the API. */

it('offers programmes, takes one, and each job becomes a later step', function () {
    $this->as();
    $stand = $this->standId('tree-of-heaven');
    $offers = $this->api('GET', "/stands/{$stand}/programmes")
        ->assertOk()
        ->json('offers');
    expect(array_column($offers, 'id'))->toContain('treat-standing-then-fell', 'cut-and-cut-again');
    $revision = $this->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $this->api('POST', "/stands/{$stand}/programme", ['programme' => 'treat-standing-then-fell'])->assertStatus(428);
    $taken = $this->api(
        'POST',
        "/stands/{$stand}/programme",
        ['programme' => 'treat-standing-then-fell'],
        ['If-Match' => $revision],
    )
        ->assertOk()
        ->assertJsonPath('plan.id', 'treat-standing-then-fell')
        ->assertJsonPath('act.code', 'mixed');
    expect(array_column($taken->json('plan.steps'), 'state'))
        ->toBe(['next', 'later', 'later', 'later'])
        ->and($taken->json('step.method.id'))
        ->toBe('basal-bark')
        ->and($taken->json('from'))
        ->toBe('2026-09-03');
    // the year shows the job in hand first
    $this->api('GET', "/stands/{$stand}/year")
        ->assertOk()
        ->assertJsonPath('lanes.0.method.id', 'basal-bark')
        ->assertJsonPath('lanes.0.chosen', true)
        ->assertJsonPath('chosen.name', 'Basal bark');
    // another one takes the place of what was never issued
    $other = $this->api(
        'POST',
        "/stands/{$stand}/programme",
        ['programme' => 'cut-and-cut-again'],
        ['If-Match' => $taken->headers->get('ETag')],
    )->assertOk();
    expect(Step::query()->whereHas('stands', fn($q) => $q->whereKey($stand))->distinct()->pluck('programme')->all())
        ->toBe(['cut-and-cut-again'])
        ->and(count($other->json('plan.steps')))
        ->toBeGreaterThan(10);
    $this->api(
        'POST',
        "/stands/{$stand}/programme",
        ['programme' => 'treat-standing-then-fell'],
        ['If-Match' => $revision],
    )->assertStatus(412);
});

it('goes on to the next job of a programme when one is signed, and judges only the last', function () {
    $this->as();
    $stand = $this->standId('bush-honeysuckle');
    $before = Stand::query()->findOrFail($stand)->steps()->count();
    $revision = $this->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $taken = $this->api(
        'POST',
        "/stands/{$stand}/programme",
        ['programme' => 'cut-then-treat'],
        ['If-Match' => $revision],
    )->assertOk();
    // the stump work of last year was signed: it stays, and its look-back is still due first
    expect(Step::query()->whereHas('stands', fn($q) => $q->whereKey($stand))->whereNull('programme')->count())
        ->toBe($before)
        ->and($taken->json('act.code'))
        ->toBe('judged');
    $record = Record::query()
        ->whereHas('lookBacks', null, '=', 0)
        ->where(
            'step_id',
            Step::query()->whereHas('stands', fn($q) => $q->whereKey($stand))->whereNull('programme')->value('id'),
        )
        ->firstOrFail();
    $this->api('POST', "/records/{$record->id}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'counted' => 58,
        'dead' => 20,
    ])->assertCreated();
    $after = $this->api('GET', "/stands/{$stand}")
        ->assertJsonPath('act.code', 'mixed')
        ->assertJsonPath('plan.steps.0.state', 'next');
    expect($after->json('plan.id'))->toBe('cut-then-treat');
    // most of it lived: the same again is refused on the board, and its group named
    $rows = collect($this->api('GET', "/stands/{$stand}/board")->json('rows'))->keyBy(
        fn(array $r): string => $r['method']['id'] . '/' . ($r['active']['id'] ?? ''),
    );
    $codes = fn(string $of): array => array_column($this->boardRow($stand, $rows[$of]['id'])['findings'], 'code');
    expect($codes('cut-stump/glyphosate'))
        ->toContain('again.failed-here')
        ->and($codes('foliar-spot/glyphosate'))
        ->toContain('again.same-group');
});

it('refuses programmes that are none or not made for the plant, and viewers', function () {
    $this->as();
    $stand = $this->standId('quackgrass');
    $revision = $this->api('GET', "/stands/{$stand}")->headers->get('ETag');
    foreach (['fell-once', 'of-no-such-kind'] as $programme) {
        $this->api('POST', "/stands/{$stand}/programme", ['programme' => $programme], ['If-Match' => $revision])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/programme');
    }
    $this->api('POST', "/stands/{$stand}/programme", ['programme' => 7], ['If-Match' => $revision])->assertStatus(422);
    $unnamed = Stand::query()->whereNull('species')->where('marked_unknown', true)->firstOrFail()->id;
    $this->api('GET', "/stands/{$unnamed}/programmes")->assertExactJson(['offers' => []]);
    $this->as('cleo')
        ->api('POST', "/stands/{$stand}/programme", ['programme' => 'bud-and-autumn'], ['If-Match' => $revision])
        ->assertStatus(403);
});

it('puts two to four ways side by side, with what else stands on the patch', function () {
    $this->as();
    $stand = $this->standId('common-privet');
    $rows = array_column($this->api('GET', "/stands/{$stand}/board")->json('rows'), 'id');
    $card = collect($rows)->first(fn(string $id): bool => str_starts_with($id, 'cut-stump/glyphosate'));
    $two = $this->api('GET', "/stands/{$stand}/comparison?rows={$card},dig")
        ->assertOk()
        ->assertJsonCount(2, 'columns');
    expect($two->json('columns.0.others.0.name'))
        ->toBe('Tree-of-heaven')
        ->and($two->json('columns.0.money.currency'))
        ->toBe('USD')
        ->and($two->json('columns.0.mix.product'))
        ->not->toBeNull()
        ->and($two->json('columns.1.mix'))
        ->toBeNull();
    foreach (['dig', "dig,{$card},lever-pull,mow,smother", 'dig,dig', 'dig,no-such-row'] as $asked) {
        $this->api('GET', "/stands/{$stand}/comparison?rows={$asked}")
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/rows');
    }
    $costs = $this->api('GET', "/stands/{$stand}/costs?row=dig")
        ->assertOk()
        ->assertJsonCount(6, 'density')
        ->assertJsonCount(4, 'waiting');
    expect($costs->json('density.2.stems'))->toBe(156);
    $this->api('GET', "/stands/{$stand}/costs?row=no-such-row")->assertStatus(422);
});

it('keeps prices with their days, refuses what is no price, and weighs money by them', function () {
    $this->as();
    $shed = $this->api('GET', '/shed')->assertOk();
    expect($shed->json('prices.wage.stale'))
        ->toBeFalse()
        ->and(array_column($shed->json('prices.products'), 'stale', 'active'))
        ->toBe(['glyphosate' => false, 'triclopyr-ester' => true]);
    $match = ['If-Match' => $shed->headers->get('ETag')];
    foreach (
        [
            ['currency' => 'dollars'],
            ['currency' => 'USD', 'wage' => ['amount' => '-1']],
            ['currency' => 'USD', 'products' => [['active' => 'glyphosate', 'amount' => '5', 'per' => '3 ft']]],
            ['currency' => 'USD', 'products' => [['active' => 'water', 'amount' => '5', 'per' => '1 L']]],
            'cheap',
        ]
        as $prices
    ) {
        $this->api('PATCH', '/shed/choices', ['prices' => $prices], $match)->assertStatus(422);
    }
    expect($this->api('GET', '/shed')->json('prices.wage.amount'))->toBe('28.00');
    $kept = $this->api(
        'PATCH',
        '/shed/choices',
        [
            'prices' => [
                'currency' => 'EUR',
                'wage' => ['amount' => '31.50', 'on' => '2026-09-01'],
                'products' => [['active' => 'triclopyr-ester', 'amount' => '25', 'per' => '1 L', 'on' => '2026-09-01']],
            ],
        ],
        $match,
    )->assertOk();
    expect($kept->json('prices.currency'))
        ->toBe('EUR')
        ->and($kept->json('prices.products.0.per'))
        ->toBe(['value' => '1', 'unit' => 'L']);
    $row = $this->boardRow($this->standId('common-privet'), 'lever-pull');
    expect(collect($row['weighing']['shares'])->firstWhere('measure', 'money')['figure'])->not->toBeNull();
});

it('gives a programme up without touching what was signed', function () {
    $this->as();
    $stand = $this->standId('bush-honeysuckle');
    $before = Stand::query()->findOrFail($stand)->steps()->has('records')->count();
    $revision = $this->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $taken = $this->api(
        'POST',
        "/stands/{$stand}/programme",
        ['programme' => 'cut-then-treat'],
        ['If-Match' => $revision],
    )->assertOk();
    $this->api('DELETE', "/stands/{$stand}/programme", [], ['If-Match' => $revision])->assertStatus(412);
    $this->api('DELETE', "/stands/{$stand}/programme", [], ['If-Match' => $taken->headers->get('ETag')])
        ->assertOk()
        ->assertJsonPath('plan', null);
    expect($before)
        ->toBeGreaterThan(0)
        ->and(Stand::query()->findOrFail($stand)->steps()->count())
        ->toBe($before);
});

it('weighs one plan by weights of its own, and goes back to the crew\'s', function () {
    $this->as();
    [$stand, $other] = [$this->standId('common-privet'), $this->standId('tree-of-heaven')];
    $crews = $this->api('GET', "/stands/{$stand}/board")->json('weights');
    $etag = $this->api('GET', "/stands/{$stand}")
        ->assertJsonPath('weights', null)
        ->headers->get('ETag');
    $this->api('PUT', "/stands/{$stand}/weights", ['weights' => ['harm' => 1]])->assertStatus(428);
    $this->api('PUT', "/stands/{$stand}/weights", ['weights' => ['charm' => 1]], ['If-Match' => $etag])->assertStatus(
        422,
    );
    $kept = $this->api(
        'PUT',
        "/stands/{$stand}/weights",
        ['weights' => ['harm' => 3, 'hours' => 1]],
        ['If-Match' => $etag],
    )
        ->assertOk()
        ->assertJsonPath('weights.harm', 75);
    expect($this->api('GET', "/stands/{$stand}/board")->json('weights.harm'))
        ->toBe(75)
        ->and($this->api('GET', "/stands/{$other}/board")->json('weights'))
        ->toBe($crews);
    $this->api('PUT', "/stands/{$stand}/weights", ['weights' => null], ['If-Match' => $kept->headers->get('ETag')])
        ->assertOk()
        ->assertJsonPath('weights', null);
    expect($this->api('GET', "/stands/{$stand}/board")->json('weights'))->toBe($crews);
});

it('keeps the crew\'s own coefficients, and the hours of the board follow them', function () {
    $this->as();
    $stand = $this->standId('common-privet');
    $minutes = fn(): string => collect($this->api('GET', "/stands/{$stand}/board")->json('rows'))->firstWhere(
        'id',
        'lever-pull',
    )['measures']['hours']['value'];
    $before = (float) $minutes();
    $shed = $this->api('GET', '/shed')->assertOk();
    $figure = collect($shed->json('figures'))->firstWhere('path', 'minutesPerStem/lever-pull/0');
    expect($figure)->toMatchArray([
        'shipped' => ['1.5', '3', '6'],
        'own' => null,
        'name' => 'Lever pull',
        'unit' => 'min',
    ]);
    $match = ['If-Match' => $shed->headers->get('ETag')];
    $this->api('PATCH', '/shed/choices', ['figures' => ['minutesPerStem/lever-pull/9' => ['1', '2', '3']]], $match)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/figures');
    $kept = $this->api(
        'PATCH',
        '/shed/choices',
        ['figures' => ['minutesPerStem/lever-pull/0' => ['3', '6', '12']]],
        $match,
    )->assertOk();
    expect(collect($kept->json('figures'))->firstWhere('path', 'minutesPerStem/lever-pull/0')['own'])
        ->toBe(['3', '6', '12'])
        ->and((float) $minutes())
        ->toBeGreaterThan($before);
});
