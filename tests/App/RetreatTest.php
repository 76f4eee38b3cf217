<?php

declare(strict_types=1);

use App\Models\Stand;
use App\Support\JobClock;

it('goes from a failed score to another round, and the ways that failed say so', function () {
    $this->as();
    $stand = $this->standId('bush-honeysuckle');
    $record = $this->api('GET', "/stands/{$stand}")->json('recordId');
    $this->api('POST', "/records/{$record}/round")->assertStatus(409);
    // three plots at fixed spots: 15 of 58 dead, tops and shoots told apart
    $look = $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'plots' => [
            ['counted' => 20, 'dead' => 6, 'resprouted' => 10],
            ['counted' => 20, 'dead' => 4, 'resprouted' => 12],
            ['counted' => 18, 'dead' => 5],
        ],
        'topDead' => 40,
        'shoots' => 66,
        'seedlings' => 30,
        'seedlingArea' => ['typed' => '20 m2'],
        'injury' => 'passing',
        'injured' => 2,
        'measured' => [['what' => 'light', 'value' => 'half of the floor in sun at noon']],
    ])
        ->assertCreated()
        ->json();
    expect($look['lookBacks'][0])
        ->toMatchArray(['counted' => 58, 'dead' => 15, 'resprouted' => 22, 'topDead' => 40, 'injury' => 'passing'])
        ->and($look['lookBacks'][0]['result']['against'])
        ->toBe('worse')
        ->and($look['retreat']['survivors'])
        ->toBe(43)
        ->and(array_column($look['retreat']['said'], 'us')[0])
        ->toBe('About 43 plants of those that were treated live.')
        ->and(implode(' ', array_column($look['retreat']['said'], 'us')))
        ->toContain('Longest wait from cut to treatment was "15 minutes"; "5 minutes" leaves fewer alive');
    $round = $this->api('POST', "/records/{$record}/round")
        ->assertCreated()
        ->json();
    // 60 were counted; 60 x 43 / 58 = 44.48
    expect($round['tally']['stems'])
        ->toBe(44)
        ->and(array_column($round['tally']['rows'], 'estimated'))
        ->each->toBeTrue()
        ->and([$round['act']['code'], $round['step'], $round['recordId']])
        ->toBe(['chosen', null, $record]);
    $row = Stand::query()->findOrFail($stand)->steps()->firstOrFail();
    $failed = collect($this->api('GET', "/stands/{$stand}/board")->json('rows'))->first(
        fn(array $r): bool => $r['method']['id'] === $row->method && ($r['active']['id'] ?? null) === $row->active,
    );
    $why = $this->api('GET', "/stands/{$stand}/board/row?row={$failed['id']}")->json('findings');
    expect(array_column($why, 'code'))->toContain('again.failed-here');
    $this->api('POST', "/records/{$record}/round")->assertStatus(409);
});

it('refuses counts that cannot be of one look', function (array $body, string $pointer) {
    $this->as();
    $record = $this->api('GET', '/stands/' . $this->standId('bush-honeysuckle'))->json('recordId');
    $this->api('POST', "/records/{$record}/look-backs", $body + ['lookedOn' => '2026-09-03'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', $pointer);
})->with([
    'nothing counted' => [['dead' => 0], '/counted'],
    'plots without a plant' => [['plots' => [['counted' => 0, 'dead' => 0]]], '/plots'],
    'more dead in a plot than stood there' => [['plots' => [['counted' => 2, 'dead' => 3]]], '/plots/0/dead'],
    'fewer tops than roots' => [['counted' => 9, 'dead' => 5, 'topDead' => 4], '/topDead'],
    'fewer shoots than plants' => [['counted' => 9, 'dead' => 2, 'resprouted' => 5, 'shoots' => 4], '/shoots'],
    'seedlings on no ground' => [['counted' => 9, 'dead' => 2, 'seedlings' => 4], '/seedlingArea'],
    'a measure of nobody' => [
        ['counted' => 9, 'dead' => 2, 'measured' => [['what' => 'luck', 'value' => 'much']]],
        '/measured/0/what',
    ],
]);

it('asks for patrols after the score, and offers to close only when seed is over', function () {
    $this->as();
    $stand = $this->standId('bush-honeysuckle');
    $walk = fn(string $found, string $on = '2026-09-03', array $more = []) => $this->api(
        'POST',
        "/stands/{$stand}/patrols",
        ['lookedOn' => $on, 'found' => $found] + $more,
    );
    $walk('none')->assertStatus(409);
    $record = $this->api('GET', "/stands/{$stand}")->json('recordId');
    $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'counted' => 58,
        'dead' => 58,
    ])->assertCreated();
    // worked in September 2025: seed lasts to 2027 at least
    $told = $this->api('GET', "/stands/{$stand}")->json('patrols');
    expect([$told['due'], $told['mayClose'], $told['next']])->toBe([false, false, '2027-09-03']);
    $walk('seedlings', '2026-09-04')->assertStatus(422);
    $walk('none', '2026-09-03', ['count' => 3])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/count');
    // a year on it is due; four years on seed is over, and the next look decides
    app(JobClock::class)->freezeAt('2027-09-03T09:00:00-05:00');
    $due = fn(): mixed => collect($this->api('GET', '/today')->json('patrols'))->firstWhere('standId', $stand);
    expect($due())->toMatchArray(['next' => '2027-09-03']);
    app(JobClock::class)->freezeAt('2030-09-03T09:00:00-05:00');
    $closable = $walk('none', '2030-09-03')->assertCreated()->json('patrols');
    expect([$closable['mayClose'], $closable['looks'][0]['by'], $due()])->toBe([true, 'Ada Thornbury', null]);
    // seed begins it anew
    expect($walk('seeding', '2030-09-03', ['count' => 2])->json('patrols.mayClose'))->toBeFalse();
});

it('counts again where plots were placed, each with what stood there before the work', function () {
    $this->as();
    $stand = $this->standId('bush-honeysuckle');
    $record = $this->api('GET', "/stands/{$stand}")->json('recordId');
    $worked = $this->api('GET', "/records/{$record}")->json('workedOn');
    expect($this->api('GET', "/records/{$record}")->json('plots'))->toBe([]);
    $plan = $this->api('POST', "/stands/{$stand}/plot-plans", [
        'plots' => 4,
        'radius' => '2 m',
        'placement' => 'random',
        'seed' => 7,
    ])
        ->assertSuccessful()
        ->json('plots');
    $spots = array_column($plan, 'position');
    $count = fn(string $day, array $plots) => $this->api('PUT', "/stands/{$stand}/tally", [
        'kind' => 'plots',
        'visitedOn' => $day,
        'sample' => ['radius' => '2 m', 'classes' => [['from' => '1 in', 'below' => '4 in']], 'plots' => $plots],
    ]);
    $count($worked, [['counts' => [3], 'position' => [200, 0]]])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/sample/plots/0/position');
    $count($worked, [
        ['counts' => [9], 'position' => $spots[2]],
        ['counts' => [6], 'position' => $spots[0]],
        ['counts' => [1]],
    ])->assertSuccessful();
    // counted since the work: that is not what stood there before
    $count('2026-09-03', [['counts' => [2], 'position' => $spots[1]]])->assertSuccessful();
    expect($this->api('GET', "/records/{$record}")->json('plots'))->toBe([
        ['position' => $spots[0], 'stood' => 6],
        ['position' => $spots[1], 'stood' => null],
        ['position' => $spots[2], 'stood' => 9],
        ['position' => $spots[3], 'stood' => null],
    ]);
    $look = fn(array $plots) => $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'plots' => $plots,
    ]);
    $look([['counted' => 6, 'dead' => 5, 'position' => ['x', 1]]])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/plots/0/position');
    $plots = [['counted' => 6, 'dead' => 5, 'resprouted' => 1, 'position' => $spots[0]]];
    expect($look($plots)->assertCreated()->json('lookBacks.0.plots'))->toBe($plots);
});
