<?php

declare(strict_types=1);

/*
 * Two bundles hold the same crew: every table row by row, every file byte by byte. The links of the seals are made with
 * the key of the installation, so what they link is compared, not they.
 */
[, $one, $other] = $argv;
/** @return array{array<string, mixed>, array<string, string>} the head, and all parts by name */
$read = static function (string $file): array {
    $zip = new ZipArchive();
    if ($zip->open($file) !== true) {
        fwrite(STDERR, "{$file} cannot be read\n");
        exit(1);
    }
    $parts = [];
    for ($i = 0; $i < $zip->numFiles; ++$i) {
        $parts[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
    }
    $head = json_decode($parts['bundle.json'], true, 32, JSON_THROW_ON_ERROR);
    unset($parts['bundle.json']);
    $parts['tables/seals.jsonl'] = (string) preg_replace(
        '/"(prev_hash|hash)":"[0-9a-f]{64}",?/',
        '',
        $parts['tables/seals.jsonl'],
    );

    return [$head, $parts];
};
[$first, $parts] = $read($one);
[$second, $others] = $read($other);
$differ = array_keys(array_diff_assoc($parts, $others) + array_diff_assoc($others, $parts));
$rows = array_sum(array_column($first['tables'], 'rows'));
$files = count($first['files']);
$whole = $first['seals']['whole'] && $second['seals']['whole'];
echo "{$rows} rows, {$files} files\n";
echo implode(' ', $differ);
exit($differ === [] && $whole && $rows > 200 && $files > 0 ? 0 : 1);
