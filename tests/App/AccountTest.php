<?php

declare(strict_types=1);

it('tells hours, money and active of what was signed, as figures, table and paper', function () {
    $this->as();
    $before = $this->api('GET', '/accounts')->assertOk()->json();
    expect($before['all']['records'])->not->toBe([]);
    [, $sheet] = issuedTrees($this);
    $record = $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '10:00',
        'stop' => '11:30',
        'people' => ['Ada Thornbury', 'Bram Quillfeather'],
        'treated' => 12,
        'mixUsed' => '0.5 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ])
        ->assertCreated()
        ->json();
    // a sign, not a score: trees that were given room are counted at any look, the newest count holds
    foreach ([['counted' => 3, 'dead' => 0, 'released' => 5], ['counted' => 3, 'dead' => 0]] as $look) {
        $this->api(
            'POST',
            "/records/{$record['id']}/look-backs",
            ['lookedOn' => '2026-09-03'] + $look,
        )->assertCreated();
    }
    $told = $this->api('GET', '/accounts?year=2026')->assertOk()->json();
    $mine = collect($told['by'][0]['lines'])->firstWhere('heading', 'Lane edge, Fernshaw');
    // two people for an hour and a half
    expect($mine)
        ->toMatchArray([
            'hours' => '3.0',
            'treated' => 12,
            'dead' => null,
            'released' => 5,
            'records' => [$record['seq']],
        ])
        ->and((float) $mine['money'])
        ->toBeGreaterThan(0.0);
    expect($mine['amended'])->toBe([]);
    $this->api('POST', "/records/{$record['id']}/amendments", [
        'field' => 'stop',
        'text' => '12:30',
        'why' => 'The clock was read wrongly.',
    ])->assertCreated();
    $put = collect($this->api('GET', '/accounts?year=2026')->json('by.0.lines'))->firstWhere(
        'heading',
        $mine['heading'],
    );
    expect([$put['amended'], $put['hours']])->toBe([[$record['seq']], '3.0']);
    expect(array_column($told['actives'], 'active'))->toContain('triclopyr ester (a.e.)');
    expect($this->api('GET', '/accounts.csv?year=2026')->assertOk()->getContent())->toContain(
        "patch,\"Lane edge, Fernshaw\",{$record['seq']},3.0,",
    );
    foreach (['accounts', 'review'] as $kind) {
        $paper = $this->api('POST', '/papers', ['kind' => $kind, 'year' => 2026])
            ->assertStatus(202)
            ->json('id');
        $this->api('GET', "/papers/{$paper}")->assertJsonPath('state', 'ready');
    }
    $this->api('POST', '/papers', ['kind' => 'review'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/year');
    expect($this->api('GET', '/accounts?year=2001')->json('all'))->toBeNull();
});
