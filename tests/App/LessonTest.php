<?php

declare(strict_types=1);

use App\Models\Crew;

/** @return array<string, mixed> of the trees of heaven, 12 of 3 in: a band of 14 in each at 0.30 L/m2 is 0.3065 L */
function signedTrees(Tests\AppTestCase $t, array $more): array
{
    [, $sheet] = issuedTrees($t);

    return $t
        ->api(
            'POST',
            "/sheets/{$sheet}/records",
            $more + [
                'workedOn' => '2026-09-03',
                'start' => '09:00',
                'stop' => '09:20',
                'people' => ['Ada Thornbury'],
                'treated' => 12,
                'mixUsed' => '0.4597 L',
                'weather' => 'dry',
                'wind' => '3 mph',
                'temperature' => '68 F',
            ],
        )
        ->assertCreated()
        ->json();
}

/** @return array<string, mixed> what a record says of the film on bark */
function filmLesson(Tests\AppTestCase $t): array
{
    foreach ($t->api('GET', '/shed')->json('lessons') as $lesson) {
        if ($lesson['of'] === 'mix' && $lesson['figures'][0]['path'] === 'film/basal') {
            return $lesson + $lesson['figures'][0];
        }
    }

    return [];
}

it('draws the next plan by what a signed record took, and says so', function () {
    $step = maples($this);
    $need = fn(): float => (float) $this->api('GET', "/steps/{$step->id}/recipe")
        ->assertOk()
        ->json('need.value');
    $before = $need();
    signedTrees($this, []);
    // half as much again as planned: 0.45, and a quarter of the way there: 0.30 x 1.5^(1/4) = 0.332
    $lesson = filmLesson($this);
    expect([$lesson['planned'], $lesson['seen'], $lesson['asked'], $lesson['counted']])->toBe([
        '0.30',
        '0.45',
        null,
        true,
    ]);
    $figure = collect($this->api('GET', '/shed')->json('figures'))->firstWhere('path', 'film/basal');
    expect([$figure['drawn']['figures'][1], $figure['drawn']['records'], $figure['own']])->toBe(['0.332', 1, null]);
    expect($need() / $before)->toEqualWithDelta(0.332 / 0.3, 0.001);
    expect($this->api('GET', "/steps/{$step->id}/recipe")->json('learned.0.us'))->toBe(
        'One record of yours puts it at 0.332 L/m² instead of 0.30: Basal bark, full wet',
    );
    // what somebody puts in holds over it
    $this->api(
        'PATCH',
        '/shed/choices',
        ['figures' => ['film/basal' => ['0.2', '0.25', '0.3']]],
        ['If-Match' => '"' . Crew::query()->value('revision') . '"'],
    )->assertOk();
    expect($need() / $before)->toEqualWithDelta(0.25 / 0.3, 0.001);
    expect($this->api('GET', "/steps/{$step->id}/recipe")->json('learned'))->toBe([]);
});

it('asks about what is out of the common, and takes it once a lead says that it counts', function () {
    $step = maples($this);
    $need = fn(): mixed => $this->api('GET', "/steps/{$step->id}/recipe")->json('need.value');
    $before = $need();
    // 0.93 L/m2: more than twice the high figure
    signedTrees($this, ['mixUsed' => '0.95 L']);
    $lesson = filmLesson($this);
    expect([$lesson['asked'], $lesson['counted'], $lesson['answered']])->toBe(['unusual', false, false]);
    expect($need())->toBe($before);
    expect(array_column($this->api('GET', '/today')->json('shed'), 'text'))->toContain(
        'Lane edge: a record far out of the common, does it count?',
    );
    $say = fn(array $body, ?int $revision = null) => $this->api('PUT', "/shed/lessons/{$lesson['id']}", $body, [
        'If-Match' => '"' . ($revision ?? Crew::query()->value('revision')) . '"',
    ]);
    $say(['counts' => true, 'why' => ''])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/why');
    $say(['counts' => true, 'why' => 'Corky bark.'], 0)->assertStatus(412);
    $say(['counts' => true, 'why' => 'Corky bark.'])->assertOk();
    expect(filmLesson($this))->toMatchArray(['counted' => true, 'why' => 'Corky bark.', 'by' => 'Ada Thornbury']);
    expect((float) $need())->toBeGreaterThan((float) $before);
    $say(['counts' => false, 'why' => 'The pump leaked.'])->assertOk();
    expect($need())->toBe($before);
});

it('asks again where the record was put right after it was signed', function () {
    $this->as();
    $record = signedTrees($this, []);
    $amend = fn(string $field) => $this->api('POST', "/records/{$record['id']}/amendments", [
        'field' => $field,
        'text' => '0.5 L',
        'why' => 'Misread the mark.',
    ])->assertCreated();
    $amend('weather');
    expect(filmLesson($this)['asked'])->toBeNull();
    $amend('mixUsed');
    expect(filmLesson($this))->toMatchArray(['asked' => 'amended', 'counted' => false]);
});
