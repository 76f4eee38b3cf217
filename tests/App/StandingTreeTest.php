<?php

declare(strict_types=1);

use App\Models\Stand;
use App\Models\StandingTree;

it('marks what was left dying on its feet until it is down, and has it looked at every year', function () {
    $this->as();
    [$stand, $sheet] = issuedTrees($this, '5 in');
    $told = $this->api('GET', "/sheets/{$sheet}")->json('snapshot.standing');
    expect([$told['count'], $told['snags']])
        ->toBe([12, false])
        ->and($told['text']['us'])
        ->toStartWith('12 trees stay standing to die: mark each');
    // two were left: ten die
    $record = $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '08:00',
        'stop' => '08:40',
        'people' => ['Ada Thornbury'],
        'treated' => 10,
        'skipped' => 2,
        'mixUsed' => '0.4 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ])
        ->assertCreated()
        ->json();
    expect($record['standing'])->toMatchArray(['count' => 10, 'lookBy' => '2027-09-03', 'downOn' => null]);
    $ground = Stand::query()->findOrFail($stand)->patch->ground_id;
    $onMap = fn(): int => $this->api('GET', "/grounds/{$ground}/map")->json('patches.0.standing');
    $due = fn(): array => $this->api('GET', '/today')->json('standing');
    expect($onMap())->toBe(10)->and($due())->toBe([]);
    // a year and a day on, as the clock of the test stands still: they have stood since a year before
    $trees = StandingTree::query()->findOrFail($record['standing']['id']);
    $trees->update(['since' => '2025-09-04']);
    expect($due())->toBe([]);
    $trees->update(['since' => '2025-09-03']);
    expect($due())->toBe([
        ['id' => $trees->id, 'standId' => $stand, 'count' => 10, 'patch' => 'Lane edge', 'lookBy' => '2026-09-03'],
    ]);
    $say = fn(array $body) => $this->api('POST', "/standing-trees/{$trees->id}/looks", $body);
    $say(['down' => false])
        ->assertCreated()
        ->assertJsonPath('standing.lookBy', '2027-09-03')
        ->assertJsonPath('standing.lookedBy', 'Ada Thornbury');
    expect($due())->toBe([])->and($onMap())->toBe(10);
    $say([])->assertStatus(422)->assertJsonPath('errors.0.pointer', '/down');
    $say(['down' => true])
        ->assertCreated()
        ->assertJsonPath('standing.downOn', '2026-09-03');
    expect($onMap())->toBe(0);
    // said of the wrong trees: they stand on the map again
    $say(['down' => false])
        ->assertCreated()
        ->assertJsonPath('standing.downOn', null);
    expect($onMap())->toBe(10);
});
