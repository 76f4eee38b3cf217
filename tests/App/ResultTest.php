<?php

declare(strict_types=1);

it('tells a score with its interval against what was expected, and the likely causes where it is worse', function () {
    $this->as();
    // the honeysuckle stumps of the demo: 80 to 97 % were expected, and the look-back is due
    $record = $this->api('GET', '/stands/' . $this->standId('bush-honeysuckle'))->json('recordId');
    $look = fn(int $dead, int $counted, bool $scored = true) => $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => $scored,
        'counted' => $counted,
        'dead' => $dead,
        'resprouted' => 0,
    ])
        ->assertCreated()
        ->json();
    expect($look(50, 58, false)['lookBacks'][0]['result'])->toBeNull();
    $good = $look(46, 58);
    expect($good['lookBacks'][0]['result'])
        ->toBe([
            'low' => 69,
            'high' => 88,
            'level' => 90,
            'against' => 'as-expected',
            'text' => 'Within what was expected, as far as the count can tell.',
        ])
        ->and($good['causes'])
        ->toBe([]);
    $bad = $look(20, 58);
    expect($bad['lookBacks'][0]['result']['against'])->toBe('worse');
    $said = array_column($bad['causes'], 'us');
    expect($said)
        ->toContain('2 plants were left on purpose: were they counted in?')
        ->and(end($said))
        ->toStartWith('What no record tells: rain or dew');
});

it('keeps with a record what is to be seen when, and what is no failure', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $record = $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '08:00',
        'stop' => '08:40',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '0.3 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ])
        ->assertCreated()
        ->json();
    $signs = array_column($record['signs'], 'text', 'code');
    expect($signs)
        ->toHaveKeys(['sign.shows', 'sign.late-sprouts', 'sign.judge'])
        ->and($signs['sign.judge'])
        ->toContain('2027')
        ->and($record['judgeAfter'])
        ->toBe(end($record['signs'])['from']);
});
