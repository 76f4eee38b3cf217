<?php

declare(strict_types=1);

/*
 * The floors of core and application, from the ground up: a namespace uses only those above its line, so nothing goes
 * in circles. Read from what each file names, docblocks included.
 */
const CORE = [
    'Measure',
    'Calendar',
    'Input',
    'Verdict',
    'Catalogue',
    'Label',
    'Position',
    'Weather',
    'Survey',
    'SeasonPlan',
    'Identify',
    'Season',
    'Learning',
    'Situation',
    'Timing',
    'Mix',
    'Economics',
    'Assess',
    'Safety',
    'Programmes',
    'Hours',
    'Practice',
    'FieldDay',
    'Review',
    'Outlook',
];

const APPLICATION = [
    'Exceptions',
    'Support',
    'Models',
    'Photos',
    'Text',
    'Seal',
    'Bundle',
    'Weather',
    'Repositories',
    'Mail',
    'Workflow',
    'Resources',
    'Print',
    'Jobs',
    'Actions',
    'Policies',
    'Http',
    'Console',
    'Providers',
];

/** @return array<string, list<string>> file => namespaces of its own house that it names, its own left out */
function named(string $folder, string $prefix): array
{
    $root = dirname(__DIR__, 2) . "/{$folder}/";
    $named = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
        if (!($file instanceof SplFileInfo) || $file->getExtension() !== 'php' || $file->getPath() . '/' === $root) {
            continue;
        }
        $path = substr($file->getPathname(), strlen($root));
        preg_match_all("/\\b{$prefix}\\\\(\\w+)\\\\/", (string) file_get_contents($file->getPathname()), $found);
        $named[$path] = array_values(array_diff(array_unique($found[1]), [strstr($path, '/', true)]));
    }

    return $named;
}

it('lets no arrow run uphill', function (string $folder, string $prefix, array $floors) {
    $floor = array_flip($floors);
    $up = [];
    foreach (named($folder, $prefix) as $path => $namespaces) {
        $own = $floor[(string) strstr($path, '/', true)] ?? -1;
        $own >= 0 || ($up[] = "{$path} stands on no floor");
        foreach ($namespaces as $one) {
            ($floor[$one] ?? PHP_INT_MAX) < $own || ($up[] = "{$path} names {$one}");
        }
    }
    expect($up)->toBe([]);
})->with(['core' => ['core/src', 'Thicket', CORE], 'application' => ['app', 'App', APPLICATION]]);

it('lets nobody outside the catalogue read its files as they stand', function () {
    $root = dirname(__DIR__, 2);
    $found = [];
    foreach (["{$root}/core/src", "{$root}/app"] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder)) as $file) {
            $path = $file instanceof SplFileInfo ? substr($file->getPathname(), strlen($root) + 1) : '';
            if (str_ends_with($path, '.php') && !str_starts_with($path, 'core/src/Catalogue/')) {
                // Input reads what people send
                $raw = str_starts_with($path, 'core/src/Input/') ? '' : '|\\w+(?:\\(\\))?\\??->data(?:->|\\[)';
                preg_match_all("/Catalogue\\\\Node\\b{$raw}/", (string) file_get_contents("{$root}/{$path}"), $names);
                $names[0] === [] || ($found[$path] = $names[0]);
            }
        }
    }
    expect($found)->toBe([]);
});

it('hands nothing more than six things without saying why', function () {
    $root = dirname(__DIR__, 2);
    $found = [];
    foreach (['core/src' => 'Thicket', 'app' => 'App'] as $folder => $prefix) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}")) as $file) {
            $path = $file instanceof SplFileInfo ? substr($file->getPathname(), strlen("{$root}/{$folder}/")) : '';
            $class = $prefix . '\\' . strtr(substr($path, 0, -4), '/', '\\');
            foreach (str_ends_with($path, '.php') ? (new ReflectionClass($class))->getMethods() : [] as $one) {
                if (str_starts_with($one->class, $prefix . '\\') && $one->getNumberOfParameters() > 6) {
                    str_contains((string) $one->getDocComment(), 'More than six: ') ||
                        ($found[] = "{$path} {$one->name}");
                }
            }
        }
    }
    expect($found)->toBe([]);
});

it('has no floor that stands empty', function (string $folder, array $floors) {
    foreach ($floors as $one) {
        expect(is_dir(dirname(__DIR__, 2) . "/{$folder}/{$one}"))->toBeTrue("{$folder}/{$one}");
    }
})->with(['core' => ['core/src', CORE], 'application' => ['app', APPLICATION]]);
