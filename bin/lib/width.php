<?php

declare(strict_types=1);

/*
 * Lines wider than 120 signs in what people write here; prints each and ends with 1 where there is one. What cannot be
 * broken is left out: sentences and schemas in JSON, pictures, heads of nginx (one line each), tables of Markdown.
 */
const WIDEST = 120;
$files = preg_split('/\n/', (string) shell_exec('git ls-files'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
$wide = 0;
foreach ($files as $file) {
    if (preg_match('/\.(json|svg|png|jpg|woff2|template)$|^LICENSE$/', $file) === 1 || !is_file($file)) {
        continue;
    }
    $isMarkdown = str_ends_with($file, '.md');
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
        if (mb_strlen($line) > WIDEST && !($isMarkdown && str_starts_with(ltrim($line), '|'))) {
            printf("%s:%d is %d wide\n", $file, $n + 1, mb_strlen($line));
            ++$wide;
        }
    }
}
echo $wide === 0 ? "1 passed\n" : "{$wide} failed\n";
exit($wide === 0 ? 0 : 1);
