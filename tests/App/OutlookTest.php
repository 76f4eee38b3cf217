<?php

declare(strict_types=1);

use App\Models\Stand;

it('looks ahead by the way that is chosen, and by other figures where somebody knows better', function () {
    $this->as();
    $stand = $this->standId('norway-maple');
    $told = $this->api('GET', "/stands/{$stand}/outlook")->assertOk();
    expect($told->json('courses.0.years'))
        ->toHaveCount(11)
        ->and($told->json('courses.0.years.0.plants'))
        ->toBe(['low' => 21.0, 'use' => 21.0, 'high' => 21.0])
        ->and($told->json('assumptions.0'))
        ->toMatchArray(['name' => 'control', 'source' => 'board', 'jobs' => 0]);
    $again = $this->api('GET', "/stands/{$stand}/outlook")->json();
    expect($again)->toBe($told->json());
    $body = [
        'years' => 5,
        'threshold' => 4,
        'assumptions' => [['name' => 'control', 'low' => '0.1', 'use' => '0.2', 'high' => '0.3']],
    ];
    $put = fn(array $with, string $match) => $this->api('PUT', "/stands/{$stand}/outlook", $with, [
        'If-Match' => $match,
    ]);
    $worse = $put($body, (string) $told->headers->get('ETag'))->assertOk();
    expect($worse->json('courses.0.years.5.plants.use'))
        ->toBeGreaterThan($told->json('courses.0.years.5.plants.use'))
        ->and($worse->json('assumptions.0.source'))
        ->toBe('given')
        ->and($worse->json('threshold'))
        ->toBe(4);
    $put($body, (string) $told->headers->get('ETag'))->assertStatus(412);
    $put(['years' => 40], (string) $worse->headers->get('ETag'))
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/years');
    expect($put([], (string) $worse->headers->get('ETag'))->json('courses'))->toBe($told->json('courses'));
    expect(Stand::query()->findOrFail($stand)->outlook)->toBeNull();
});

it('begins with what a score says is left, and learns from it', function () {
    $this->as();
    // treated a year ago: 60 counted then
    $stand = $this->standId('bush-honeysuckle');
    $before = $this->api('GET', "/stands/{$stand}/outlook")->json();
    expect($before['since']['us'])->toContain('before the work of')->and($before['today'])->toBe(60);
    $record = $this->api('GET', "/stands/{$stand}")->json('recordId');
    $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => '2026-09-03',
        'scored' => true,
        'counted' => 40,
        'dead' => 30,
    ])->assertCreated();
    $after = $this->api('GET', "/stands/{$stand}/outlook")->json();
    expect($after['today'])
        ->toBe(15)
        ->and($after['since']['us'])
        ->toContain('25 %')
        ->and($after['assumptions'][0])
        ->toMatchArray(['source' => 'records', 'jobs' => 1]);
});

it('says what is missing before anybody can look ahead', function (string $species, string $lacks) {
    $this->as();
    $this->api('GET', "/stands/{$this->standId($species)}/outlook")
        ->assertOk()
        ->assertJsonPath('lacks.code', $lacks)
        ->assertJsonPath('courses', []);
})->with(['no way yet' => ['tree-of-heaven', 'way']]);
