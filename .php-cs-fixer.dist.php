<?php

declare(strict_types=1);

// how lines are laid out is Prettier's (.prettierrc.json); here stands only what it does not look at
$finder = (new PhpCsFixer\Finder())
    ->in(
        array_map(static fn(string $directory): string => __DIR__ . '/' . $directory, [
            'core/src',
            'app',
            'tests',
            'database',
            'routes',
            'config',
            'compat',
            'bootstrap',
            'stand-ins',
        ]),
    )
    ->name('*.php')
    ->notName('*.blade.php');

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        'declare_strict_types' => true,
        'no_unused_imports' => true,
        'ordered_imports' => true,
        'single_import_per_statement' => true,
        'blank_line_before_statement' => ['statements' => ['return']],
        'array_syntax' => true,
        'native_function_casing' => true,
        'lowercase_keywords' => true,
        'visibility_required' => true,
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__ . '/var/.php-cs-fixer.cache');
