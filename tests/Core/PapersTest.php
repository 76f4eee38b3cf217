<?php

declare(strict_types=1);

/*
 * What code, data and tests rest on can be read: every decision and every chapter that is named stands in docs, and
 * what docs/decisions name of the code is there.
 */

/** @return string all that is written by hand, docs left out */
function written(): string
{
    $root = dirname(__DIR__, 2);
    $text = '';
    foreach (['core', 'app', 'lang', 'web/src', 'tests', 'bin', 'database', 'deploy', 'config', 'routes'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}")) as $file) {
            if ($file instanceof SplFileInfo && $file->isFile() && $file->getSize() < 2_000_000) {
                $text .= file_get_contents($file->getPathname()) . "\n";
            }
        }
    }

    return $text . file_get_contents("{$root}/openapi.yaml");
}

it('keeps every decision that the tree names', function () {
    preg_match_all('/\brulings?[- ]((?:[JB]\d{1,2}(?:[-, ]| and )*)+)/', written(), $said);
    preg_match_all('/[JB]\d{1,2}/', implode(' ', $said[1]), $named);
    $kept = '';
    foreach (glob(dirname(__DIR__, 2) . '/docs/decisions/*.md') ?: [] as $page) {
        $kept .= file_get_contents($page);
    }
    preg_match_all('/^### ([JB]\d{1,2}) /m', $kept, $anchors);
    expect(count($named[0]))
        ->toBeGreaterThan(200)
        ->and(array_values(array_unique(array_diff($named[0], $anchors[1]))))
        ->toBe([])
        ->and(array_values(array_diff_assoc($anchors[1], array_unique($anchors[1]))))
        ->toBe([], 'said twice');
});

it('keeps every chapter and section of the handbook that the tree names', function () {
    $root = dirname(__DIR__, 2);
    preg_match_all('/\bhandbook-(\d+)((?:-[a-z]+)*)/', written(), $said, PREG_SET_ORDER);
    $missing = [];
    foreach ($said as [, $chapter, $section]) {
        $page = glob("{$root}/docs/handbook/{$chapter}-*.md")[0] ?? null;
        $text = $page === null ? '' : (string) file_get_contents($page);
        $isThere = $section === '' ? $page !== null : str_contains($text, "\n## " . substr($section, 1) . "\n");
        $isThere || ($missing["{$chapter}{$section}"] = true);
    }
    expect(count($said))->toBeGreaterThan(100)->and(array_keys($missing))->toBe([]);
});

it('names in its decisions only what the code has', function () {
    $root = dirname(__DIR__, 2);
    $classes = [];
    foreach (['core/src', 'app'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}")) as $file) {
            $file instanceof SplFileInfo && ($classes[] = $file->getBasename('.php'));
        }
    }
    $gone = [];
    foreach (glob("{$root}/docs/decisions/*.md") ?: [] as $page) {
        preg_match_all('/`([A-Z]\w+)`/', (string) file_get_contents($page), $named);
        $gone = [...$gone, ...array_diff($named[1], $classes)];
    }
    expect(array_values(array_unique($gone)))->toBe([]);
});
