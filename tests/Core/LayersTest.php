<?php

declare(strict_types=1);

/*
 * The floors of the core, from the ground up: a namespace uses only those above its line, so nothing goes in circles.
 * Read from what each file names, docblocks included.
 */
const FLOORS = [
    'Measure',
    'Calendar',
    'Input',
    'Verdict',
    'Catalogue',
    'Label',
    'Position',
    'Survey',
    'Identify',
    'Season',
    'Situation',
    'Timing',
    'Mix',
    'Economics',
    'Assess',
    'Safety',
    'Programmes',
];

/** @return array<string, list<string>> file => namespaces of the core that it names, its own left out */
function named(): array
{
    $root = dirname(__DIR__, 2) . '/core/src/';
    $named = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
        if (!($file instanceof SplFileInfo) || $file->getExtension() !== 'php' || $file->getPath() . '/' === $root) {
            continue;
        }
        $path = substr($file->getPathname(), strlen($root));
        preg_match_all('/Thicket\\\\(\w+)\\\\/', (string) file_get_contents($file->getPathname()), $found);
        $named[$path] = array_values(array_diff(array_unique($found[1]), [strstr($path, '/', true)]));
    }

    return $named;
}

it('has every namespace on a floor', function () {
    $there = array_unique(
        array_map(static fn(string $path): string => (string) strstr($path, '/', true), array_keys(named())),
    );
    expect(array_values(array_diff($there, FLOORS)))->toBe([])->and(array_values(array_diff(FLOORS, $there)))->toBe([]);
});

it('lets no arrow run uphill', function () {
    $floor = array_flip(FLOORS);
    $up = [];
    foreach (named() as $path => $namespaces) {
        $own = $floor[(string) strstr($path, '/', true)] ?? -1;
        foreach ($namespaces as $one) {
            ($floor[$one] ?? PHP_INT_MAX) < $own || ($up[] = "{$path} names {$one}");
        }
    }
    expect($up)->toBe([]);
});
