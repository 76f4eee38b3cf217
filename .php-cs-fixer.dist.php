<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())->in([__DIR__ . '/core/src', __DIR__ . '/app', __DIR__ . '/tests', __DIR__ . '/database', __DIR__ . '/routes', __DIR__ . '/config', __DIR__ . '/compat', __DIR__ . '/bootstrap'])->name('*.php');

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@PSR12' => true, 'declare_strict_types' => true, 'no_unused_imports' => true, 'ordered_imports' => true, 'single_quote' => true,
        'trailing_comma_in_multiline' => true, 'blank_line_before_statement' => ['statements' => ['return']], 'concat_space' => ['spacing' => 'one'],
        'no_extra_blank_lines' => true, 'array_syntax' => true, 'native_function_casing' => true, 'statement_indentation' => true,
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__ . '/var/.php-cs-fixer.cache');
