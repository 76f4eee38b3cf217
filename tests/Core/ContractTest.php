<?php

declare(strict_types=1);

use Symfony\Component\Yaml\Yaml;

/*
 * openapi.yaml is put together from openapi/*.yaml: nothing is changed in it by hand, and what many answers share is
 * said once.
 */
require_once dirname(__DIR__, 2) . '/bin/lib/contract.php';

it('is what its parts say', function () {
    $root = dirname(__DIR__, 2);
    expect((string) file_get_contents("{$root}/openapi.yaml"))->toBe(
        contract(contractFiles($root)),
        'run npm run contract',
    );
});

it('says once what many share: refusals, and headers and paths that are asked for', function () {
    $at = Yaml::parseFile(dirname(__DIR__, 2) . '/openapi.yaml');
    $again = [];
    foreach ($at['paths'] as $path => $operations) {
        foreach ($operations as $method => $operation) {
            $said = array_filter(
                $operation['parameters'] ?? [],
                static fn(array $p): bool => in_array($p['in'] ?? '', ['header', 'path'], true) &&
                    !isset($p['schema']['enum']),
            );
            $said === [] || ($again[] = "{$method} {$path}: " . implode(', ', array_column($said, 'name')));
            ($operation['responses']['4XX'] ?? ['$ref' => '#/components/responses/Refused']) === [
                '$ref' => '#/components/responses/Refused',
            ] || ($again[] = "{$method} {$path}: 4XX");
        }
    }
    expect($again)->toBe([]);
});

it('uses every part that it shares', function () {
    $text = (string) file_get_contents(dirname(__DIR__, 2) . '/openapi.yaml');
    $at = Yaml::parse($text);
    foreach (['parameters', 'responses', 'schemas'] as $kind) {
        foreach (array_keys($at['components'][$kind]) as $name) {
            expect($text)->toContain("#/components/{$kind}/{$name}\"");
        }
    }
});
