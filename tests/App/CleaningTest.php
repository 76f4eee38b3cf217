<?php

declare(strict_types=1);

use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;

/** @return list<string> gates of a stand that are shut for what its sprayer held */
function washing(Tests\AppTestCase $t, string $stand): array
{
    return array_values(
        array_filter(
            array_column($t->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code'),
            static fn(string $code): bool => str_starts_with($code, 'cleaning'),
        ),
    );
}

it('lets nothing else into a sprayer until somebody notes that it was washed', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $used = Sheet::query()->findOrFail($sheet)->steps[0]->sprayer_id ?? '';
    expect($used)->not->toBe('');
    expect($this->api('GET', "/sheets/{$sheet}")->json('snapshot.sprayer.id'))->toBe($used);
    $other = Stand::query()->findOrFail($this->standId('quackgrass'));
    Step::query()
        ->whereKey($other->steps()->firstOrFail()->id)
        ->update(['sprayer_id' => $used]);
    expect(washing($this, $other->id))->toBe([]);

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
    $holds = fn(): mixed => collect($this->api('GET', '/shed')->json('sprayers'))->firstWhere('id', $used)['holds'];
    expect($holds())->toMatchArray(['carrier' => 'oil', 'since' => '2026-09-03']);
    expect(washing($this, $other->id))->toBe(['cleaning']);
    // nor is it mixed by a recipe that stands
    $recipe = $this->api('GET', "/steps/{$other->steps()->firstOrFail()->id}/recipe");
    $step = $other->steps()->firstOrFail()->id;
    $this->api('PUT', "/steps/{$step}/recipe", [], ['If-Match' => $recipe->headers->get('ETag')])->assertOk();
    $this->api('POST', "/steps/{$step}/batches", [
        'load' => 0,
        'confirmed' => array_column($recipe->json('loads.0.steps'), 'what'),
    ])
        ->assertStatus(409)
        ->assertJsonPath('detail', fn(string $said): bool => str_contains($said, 'nobody noted that it was cleaned'));

    // the clean-up list of the field day says so, and may be taken back
    $tick = [
        'id' => '01a22634-0000-7000-8000-000000000901',
        'kind' => 'tick',
        'at' => '2026-09-03T10:50:00-05:00',
        'device' => 'phone',
        'seq' => 1,
        'by' => 'Bram Quillfeather',
        'what' => 'cleanup.rinse-sprayer-thrice',
        'on' => true,
    ];
    $this->api('POST', "/sheets/{$sheet}/notes", ['notes' => [$tick]])->assertOk();
    expect(washing($this, $other->id))->toBe([])->and($holds())->toBeNull();
    $back = ['id' => '01a22634-0000-7000-8000-000000000902', 'seq' => 2, 'kind' => 'undo', 'of' => $tick['id']];
    $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => [$back + array_diff_key($tick, ['what' => 1, 'on' => 1])],
    ])->assertOk();
    expect(washing($this, $other->id))->toBe(['cleaning']);

    // or the Shed
    $this->api('POST', "/shed/sprayers/{$used}/cleanings", ['note' => 'Rinsed thrice at the yard.'])->assertCreated();
    expect(washing($this, $other->id))->toBe([]);
    expect(collect($this->api('GET', '/shed')->json('sprayers'))->firstWhere('id', $used)['cleaned'])->toBe([
        'on' => '2026-09-03',
        'by' => 'Ada Thornbury',
        'note' => 'Rinsed thrice at the yard.',
    ]);
});
