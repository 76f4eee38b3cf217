<?php

declare(strict_types=1);

use Tests\Live\Answer;
use Tests\Live\Field;
use Tests\Live\Visitor;

/*
 * What two people do at the same moment, over HTTP: the workers are processes of their own on one MariaDB. Each case
 * is done THICKET_PARALLEL_TIMES times (2 in bin/test).
 */

/** @param list<Answer> $answers */
function statuses(array $answers): array
{
    $all = array_map(static fn(Answer $a): int => $a->status, $answers);
    sort($all);

    return $all;
}

/** @return list<array{string, string, array<mixed>, array<string, string>}> */
function fourTimes(string $method, string $path, array $body = [], array $headers = []): array
{
    return array_fill(0, 4, [$method, $path, $body, $headers]);
}

dataset('rounds', range(1, (int) (getenv('THICKET_PARALLEL_TIMES') ?: 2)));

beforeEach(function () {
    static $lead = null;
    $this->lead = $lead ??= Visitor::signedIn();
});

it('issues one sheet of a step, signs it once, and withdraws or signs it, never both', function () {
    $field = Field::ready($this->lead);
    expect(statuses($issued = $this->lead->together(fourTimes('POST', "/stands/{$field->stand}/sheets"))))->toBe([
        201,
        409,
        409,
        409,
    ]);
    $sheet = array_values(array_filter($issued, static fn(Answer $a): bool => $a->status === 201))[0]->json('id');

    $both = $this->lead->together([
        ['POST', "/sheets/{$sheet}/withdraw", ['reason' => 'wind'], []],
        ['POST', "/sheets/{$sheet}/records", Field::work(), []],
    ]);
    expect(statuses($both))->toBe([200 + ($both[1]->status === 201 ? 1 : 0), 409]);
    if ($both[0]->status === 200) {
        expect(statuses($issued = $this->lead->together(fourTimes('POST', "/stands/{$field->stand}/sheets"))))->toBe([
            201,
            409,
            409,
            409,
        ]);
        $sheet = array_values(array_filter($issued, static fn(Answer $a): bool => $a->status === 201))[0]->json('id');
        expect(statuses($this->lead->together(fourTimes('POST', "/sheets/{$sheet}/records", Field::work()))))->toBe([
            201,
            409,
            409,
            409,
        ]);
    }
    expect($this->lead->must(200, 'GET', "/stands/{$field->stand}")->json('act.code'))->toBe('judged');
})->with('rounds');

it('lets one of four changes of the same version through', function () {
    $field = Field::ready($this->lead);
    // one of its own: the others are calibrated, and stay so
    $can = ['name' => 'Zinc can ' . bin2hex(random_bytes(3)), 'kind' => 'hand-can', 'tank' => '2 gal'];
    $this->lead->must(201, 'POST', '/shed/sprayers', $can);
    $shed = $this->lead->must(200, 'GET', '/shed');
    $sprayer = array_values(
        array_filter($shed->json('sprayers'), static fn(array $s): bool => $s['name'] === $can['name']),
    )[0];
    $changes = [
        [
            'PATCH',
            "/patches/{$field->patch}",
            ['name' => 'Lane edge, north'],
            $this->lead->must(200, 'GET', "/patches/{$field->patch}")->headers['etag'],
        ],
        [
            'PUT',
            "/steps/{$field->step}/recipe",
            ['people' => 2],
            $this->lead->must(200, 'GET', "/steps/{$field->step}/recipe")->headers['etag'],
        ],
        [
            'PUT',
            "/stands/{$field->stand}/weights",
            [],
            $this->lead->must(200, 'GET', "/stands/{$field->stand}")->headers['etag'],
        ],
        ['PUT', "/shed/sprayers/{$sprayer['id']}", ['tank' => '4 gal'] + $can, "\"{$sprayer['revision']}\""],
        ['PATCH', '/shed/choices', ['stance' => 'any'], $shed->headers['etag']],
        ['PUT', '/handbook/species/garlic-mustard/listing', ['listing' => 'none'], null],
    ];
    foreach ($changes as [$method, $path, $body, $version]) {
        $version ??= $this->lead->must(200, 'GET', '/handbook/species/garlic-mustard')->headers['etag'];
        expect(statuses($this->lead->together(fourTimes($method, $path, $body, ['If-Match' => $version]))))->toBe(
            [200, 412, 412, 412],
            "{$method} {$path}",
        );
    }
})->with('rounds');

it('lends a tool once and takes it back once', function () {
    $name = 'Loppers ' . bin2hex(random_bytes(4));
    $called = static fn(Answer $answer): array => array_values(
        array_filter($answer->json('tools'), static fn(array $t): bool => $t['name'] === $name),
    )[0];
    $tool = $called($this->lead->must(201, 'POST', '/shed/tools', ['kind' => 'loppers', 'name' => $name]))['id'];
    expect(statuses($this->lead->together(fourTimes('POST', "/shed/tools/{$tool}/loans", ['to' => 'Cleo']))))->toBe([
        201,
        409,
        409,
        409,
    ]);
    $loan = $called($this->lead->must(200, 'GET', '/shed'))['loan']['id'];
    expect(statuses($this->lead->together(fourTimes('POST', "/shed/loans/{$loan}/return"))))->toBe([
        200,
        409,
        409,
        409,
    ]);
})->with('rounds');

it('does a write once under one key, whether sent one after the other or at once', function () {
    $key = ['Idempotency-Key' => 'ground-' . bin2hex(random_bytes(8))];
    $body = [
        'name' => 'Keyfield',
        'latitude' => '44.1',
        'longitude' => '-71.2',
        'elevation' => '690 ft',
        'timeZone' => 'Etc/GMT+5',
    ];
    $answers = $this->lead->together(fourTimes('POST', '/grounds', $body, $key));
    expect(statuses($answers))
        ->toBe([201, 201, 201, 201])
        ->and(array_unique(array_map(static fn(Answer $a): mixed => $a->json('id'), $answers)))
        ->toHaveCount(1);
})->with('rounds');

it('makes one thing under one id', function () {
    $id = '0198c1d2-7e4a-7b3c-8f10-' . bin2hex(random_bytes(6));
    $body = [
        'id' => $id,
        'name' => 'Onefield',
        'latitude' => '44.1',
        'longitude' => '-71.2',
        'elevation' => '690 ft',
        'timeZone' => 'Etc/GMT+5',
    ];
    expect(statuses($this->lead->together(fourTimes('POST', '/grounds', $body))))->toBe([201, 422, 422, 422]);
})->with('rounds');

it(
    'makes PDFs one after the other, tells how far they are, and begins no queue that nobody would wait for',
    function () {
        $sheets = array_map(fn(): string => Field::ready($this->lead)->issue(), range(1, 8));
        $asked = $this->lead->together(
            array_map(
                static fn(string $id): array => ['POST', '/papers', ['kind' => 'sheet', 'of' => $id], []],
                $sheets,
            ),
        );
        $taken = array_values(array_filter($asked, static fn(Answer $a): bool => $a->status === 202));
        // five wait at once for one person; a fast worker makes room for more meanwhile
        expect(count($taken))
            ->toBeGreaterThanOrEqual(5)
            ->and(array_diff(statuses($asked), [202, 429]))
            ->toBe([])
            ->and(max(array_map(static fn(Answer $a): int => $a->json('ahead'), $taken)))
            ->toBeGreaterThanOrEqual(1);
        $paper = $taken[count($taken) - 1]->json('id');
        for ($i = 0; $i < 200 && $this->lead->must(200, 'GET', "/papers/{$paper}")->json('state') !== 'ready'; ++$i) {
            usleep(300_000);
        }
        $file = $this->lead->must(200, 'GET', "/papers/{$paper}/file");
        expect(substr($file->body, 0, 5))->toBe('%PDF-')->and($file->headers['cache-control'])->toContain('private');
    },
);
