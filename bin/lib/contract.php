<?php

declare(strict_types=1);

/*
 * Puts openapi.yaml together from openapi/*.yaml (npm run contract): what all share first, then the paths of each
 * resource, then the schemas. The text stays as it is written there. ContractTest holds that openapi.yaml is this.
 */

/**
 * @param array<string, string> $files name => text; shared has the head of the contract and what all use
 */
function contract(array $files): string
{
    [$shared] = contractParts($files['shared']);
    unset($files['shared']);
    $parts = array_map(contractParts(...), $files);

    return "# Put together from openapi/*.yaml by npm run contract: change it there.\n" .
        (string) preg_replace(
            '/^components:\n/m',
            "paths:\n" . implode('', array_column($parts, 1)) . '$0',
            $shared,
            1,
        ) .
        implode('', array_column($parts, 2));
}

/** @return array{string, string, string} the text without its remarks, its paths, its schemas, as they are indented */
function contractParts(string $text): array
{
    $text = (string) preg_replace('/^#.*\n/m', '', $text);
    preg_match('/^paths:\n((?:[ ].*\n|\n)*)/m', $text, $paths);
    preg_match('/^components:\n  schemas:\n((?:[ ].*\n|\n)*)/m', $text, $schemas);

    return [$text, $paths[1] ?? '', $schemas[1] ?? ''];
}

/** @return array<string, string> the files of the contract, the shared one first, the others by name */
function contractFiles(string $root): array
{
    $files = [];
    foreach (glob("{$root}/openapi/*.yaml") ?: [] as $file) {
        $files[basename($file, '.yaml')] = (string) file_get_contents($file);
    }

    return $files;
}

if (realpath((string) ($_SERVER['SCRIPT_FILENAME'] ?? '')) === __FILE__) {
    echo contract(contractFiles(dirname(__DIR__, 2)));
}
