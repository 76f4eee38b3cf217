<?php

declare(strict_types=1);

use Tests\Live\Field;
use Tests\Live\Fuzz;
use Tests\Live\Visitor;

/*
 * 2,000 requests from the contract in bin/test, 10,000 in bin/test --deep; THICKET_FUZZ_SEED makes the same ones again.
 */

it('answers whatever is sent, clearly and soon', function () {
    $seed = (int) (getenv('THICKET_FUZZ_SEED') ?: 20261127);
    $lead = Visitor::signedIn();
    $field = Field::ready($lead);
    $sheet = $field->issue();
    $record = $lead->must(201, 'POST', "/sheets/{$sheet}/records", Field::work())->json('id');
    $other = Field::ready($lead);
    $shed = $lead->must(200, 'GET', '/shed');
    $sighting = $lead->must(200, 'GET', '/sightings')->json('data.0');
    $column = static fn(string $list): array => array_column($shed->json($list) ?? [], 'id');
    $ids = [
        'ground' => [$field->ground, $other->ground],
        'patch' => [$field->patch, $other->patch],
        'stand' => [$field->stand, $other->stand],
        'step' => [$field->step, $other->step],
        'sheet' => [$sheet],
        'record' => [$record],
        'sighting' => [$sighting['id']],
        'photo' => array_column($sighting['photos'], 'id'),
        'size' => ['thumb', 'full'],
        'card' => $column('cards'),
        'version' => array_merge(
            ...array_map(static fn(array $c): array => array_column($c['versions'], 'id'), $shed->json('cards')),
        ),
        'sprayer' => $column('sprayers'),
        'tool' => $column('tools'),
        'person' => $column('people'),
        'container' => $column('stock'),
        'id' => ['tree-of-heaven', 'norway-maple', $sighting['id']],
    ];
    $ids[''] = array_merge(...array_values($ids));
    $fuzz = new Fuzz($ids, $seed);
    $broken = [];
    $codes = [];
    for ($sent = 0, $all = (int) (getenv('THICKET_FUZZ_COUNT') ?: 2000); $sent < $all; $sent += 2) {
        $requests = [$fuzz->next(), $fuzz->next()];
        foreach ($lead->together($requests) as $i => $answer) {
            [$method, $path, $body, $headers] = $requests[$i];
            $codes[$answer->status] = ($codes[$answer->status] ?? 0) + 1;
            $clear = $answer->status < 400 || ($answer->headers['content-type'] ?? '') === 'application/problem+json';
            // a machine that stands still for a moment is not the request's fault: what is slow is asked again, alone,
            // and is slow where it never once comes in time
            $anew = [$method, $path, $body, array_diff_key($headers, ['Idempotency-Key' => true])];
            $slow = $answer->seconds > 2.0;
            for ($again = 0; $slow && $again < 5; $again++) {
                $slow = $lead->together([$anew])[0]->seconds > 2.0;
            }
            if ($answer->status >= 500 || $answer->status === 0 || $slow || !$clear) {
                $broken[] = sprintf(
                    '%s in %.1f s: %s %s %s %s',
                    $answer->status,
                    $answer->seconds,
                    $method,
                    $path,
                    mb_substr(
                        is_string($body)
                            ? $body
                            : (string) json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR),
                        0,
                        600,
                    ),
                    json_encode($headers, JSON_INVALID_UTF8_SUBSTITUTE),
                );
            }
        }
    }
    ksort($codes);
    fwrite(STDERR, "fuzz seed {$seed}: " . json_encode($codes) . "\n");
    expect($broken)
        ->toBe([])
        ->and($codes)
        ->toHaveKeys([200, 404, 422]);
});
