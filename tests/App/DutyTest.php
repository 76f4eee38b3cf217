<?php

declare(strict_types=1);

use App\Models\Sheet;

it('issues no sheet till the owner agrees, and says on the sheet who did', function () {
    $this->as();
    [$stand, $sheet] = issuedTrees($this);
    $said = $this->api('GET', "/sheets/{$sheet}")->json('snapshot.duties');
    expect($said)
        ->toHaveCount(1)
        ->and($said[0]['settled'])
        ->toMatchArray([
            'state' => 'done',
            'who' => 'Hester Fernshaw',
            'on' => '2026-08-01',
            'wholeGround' => true,
            'boundaryChecked' => true,
        ]);
    // given back: the sheet that is out says so, and the gate of the next one is shut
    $this->api('DELETE', "/duties/{$said[0]['settled']['id']}")->assertNoContent();
    $this->api('DELETE', "/duties/{$said[0]['settled']['id']}")->assertNotFound();
    expect($this->api('GET', "/stands/{$stand}")->json('duties.0.takenBack'))->toBe([
        'who' => 'Hester Fernshaw',
        'on' => '2026-09-03',
        'by' => 'Ada Thornbury',
    ]);
    expect($this->api('GET', "/sheets/{$sheet}")->json('dutiesOpen.0.us'))->toBe("Not recorded: the owner's consent.");
    $this->api('POST', "/sheets/{$sheet}/withdraw", ['reason' => 'The owner says no.'])->assertOk();
    $this->api('POST', "/stands/{$stand}/sheets")
        ->assertStatus(409)
        ->assertJsonPath('gates.0.code', 'permit')
        ->assertJsonPath('gates.0.passable', false);
    ownerAgrees($this, $stand);
    $sheet = $this->api('POST', "/stands/{$stand}/sheets")
        ->assertCreated()
        ->json('id');
    // the season's table tells what was settled, though nobody typed it into the record
    $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '10:00',
        'stop' => '10:40',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '0.4 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ])->assertCreated();
    expect($this->api('GET', '/records.csv')->getContent())->toContain(
        "the owner's consent, Hester Fernshaw, 2026-08-01",
    );
});

it('keeps a notice with its job, lists what is still to be said, and counts it once it was', function () {
    $this->as();
    [$stand] = issuedTrees($this);
    $patch = $this->api('GET', "/stands/{$stand}")->json('patchId');
    $sheet = Sheet::query()->latest('number')->firstOrFail()->id;
    $this->api('POST', "/sheets/{$sheet}/withdraw", ['reason' => 'A path was forgotten.'])->assertOk();
    $this->api('POST', "/patches/{$patch}/observations", [
        'facts' => [['fact' => 'public-way', 'value' => true]],
    ])->assertCreated();
    $path = fn(): mixed => collect($this->api('GET', "/stands/{$stand}")->json('duties'))->firstWhere(
        'kind',
        'path-users',
    );
    expect($path())
        ->toMatchArray(['open' => true, 'paper' => false, 'settled' => null])
        ->and($path()['message'])
        ->toContain('Lane edge, Fernshaw', 'Triclopyr ester');
    $tell = fn(array $body) => $this->api(
        'POST',
        "/stands/{$stand}/duties",
        $body + ['kind' => 'path-users', 'who' => 'Walkers, by a board at the gate', 'on' => '2026-09-03'],
    );
    $tell(['state' => 'under-way', 'on' => '2026-09-05'])->assertCreated();
    expect($path()['open'])->toBeTrue();
    expect(collect($this->api('GET', '/today')->json('duties'))->firstWhere('standId', $stand))->toMatchArray([
        'name' => 'people who use the path',
        'by' => '2026-09-05',
        'paper' => false,
    ]);
    $tell(['state' => 'done'])->assertCreated();
    expect($path()['open'])->toBeFalse();
});

it('names what is missing in what was written down', function (array $body, string $pointer) {
    $this->as();
    $stand = $this->standId('norway-maple');
    $this->api(
        'POST',
        "/stands/{$stand}/duties",
        $body + ['kind' => 'water-permit', 'state' => 'done', 'who' => 'Office for waters', 'on' => '2026-09-01'],
    )
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', $pointer);
})->with([
    'a permit without its number' => [[], '/number'],
    'given tomorrow' => [['number' => 'W-7', 'on' => '2026-09-04'], '/on'],
    'over before it begins' => [['number' => 'W-7', 'until' => '2026-08-31'], '/until'],
    'a check without its end' => [['kind' => 'protected-life'], '/until'],
    'an owner, and nobody walked the boundary' => [['kind' => 'owner'], '/boundaryChecked'],
    'no such kind' => [['kind' => 'sheriff'], '/kind'],
]);
