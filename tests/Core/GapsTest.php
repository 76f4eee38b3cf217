<?php

declare(strict_types=1);

use Thicket\Assess\Gaps;
use Thicket\Assess\Rule;
use Thicket\Assess\RuleSet;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;

/** @return array<string, string> all sentences of a language */
function wordsOf(string $language): array
{
    $words = [];
    foreach (glob("{$language}/*.json") ?: [] as $file) {
        $words += json_decode((string) file_get_contents($file), true);
    }

    return $words;
}

/** @return list<string> */
function gaps(array $changes = []): array
{
    $root = dirname(__DIR__, 2);
    $data = (new CatalogueFiles("{$root}/core/data", "{$root}/docs/schemas"))->read(false);
    $words = wordsOf("{$root}/lang/en");

    return (new Gaps(
        new Catalogue(array_replace_recursive($data, $changes), 'test'),
        static fn(string $code): bool => isset($words[$code]),
    ))->all();
}

it('has words, tools, windows and minutes for all that the catalogue names', function () {
    expect(gaps())->toBe([]);
});

it('says of a new method what nobody has written for it', function () {
    $data = (new CatalogueFiles(dirname(__DIR__, 2) . '/core/data', ''))->read(false);
    $twist =
        [
            'id' => 'twist-pull',
            'tools' => ['twister'],
            'clearance' => 'twisting',
            'steps' => ['check-name', 'twist-and-turn'],
            'mistakes' => ['twisted-off'],
        ] + $data['methods']['lever-pull'];
    expect(gaps(['methods' => ['twist-pull' => $twist]]))->toBe([
        "Method twist-pull: lang/ has no words for 'method.twist-pull'.",
        "Method twist-pull: lang/ has no words for 'step.twist-and-turn'.",
        "Method twist-pull: lang/ has no words for 'mistake.twisted-off'.",
        "Method twist-pull: no line of core/data/tools.yaml is, or serves, 'twister'.",
        "Method twist-pull: core/data/tools.yaml has no clearance 'twisting'.",
        'Method twist-pull: core/data/coefficients.yaml has no minutes for it; write them, or say hoursUnknown.',
    ]);
    expect(gaps(['methods' => ['dig' => ['hoursUnknown' => true, 'actives' => ['luck']]]]))->toBe([
        'Method dig: there is no core/data/actives/luck.yaml.',
        'Method dig: it says hoursUnknown, and core/data/coefficients.yaml has minutes for it.',
    ]);
});

it('judges by every rule that was written', function () {
    $rules = array_map(
        static fn(string $file): string => basename($file, '.php'),
        glob(dirname(__DIR__, 2) . '/core/src/Assess/Rules/*.php') ?: [],
    );
    $listed = array_map(
        static fn(Rule $rule): string => substr((string) strrchr($rule::class, '\\'), 1),
        RuleSet::standard()->rules,
    );
    expect(array_values(array_diff($rules, $listed)))->toBe([], 'List them in RuleSet.');
});

it('has a sentence for every code that rules can give', function () {
    $root = dirname(__DIR__, 2);
    $codes = [];
    foreach (glob("{$root}/core/src/{Assess/Rules/*,Situation/CardCheck}.php", GLOB_BRACE) ?: [] as $file) {
        $code = (string) file_get_contents($file);
        preg_match_all("/'([a-z]+(?:-[a-z]+)*\\.[a-z0-9-]+)'/", $code, $said);
        preg_match_all("/unknown\\(\\s*'([a-z0-9-]+)'/", $code, $facts);
        foreach ([...$said[1], ...array_map(static fn(string $f): string => "fact.{$f}", $facts[1])] as $one) {
            $codes[$one] = basename($file, '.php');
        }
    }
    expect(count($codes))->toBeGreaterThan(150);
    foreach (glob("{$root}/lang/*", GLOB_ONLYDIR) ?: [] as $language) {
        $words = wordsOf($language);
        // a choice of a school is told by its own word
        $missing = array_filter(
            $codes,
            static fn(string $code): bool => !isset($words[$code]) && !isset($words["choice.{$code}"]),
            ARRAY_FILTER_USE_KEY,
        );
        ksort($missing);
        expect(
            array_map(
                static fn(string $code, string $rule): string => "{$rule}: '{$code}'",
                array_keys($missing),
                $missing,
            ),
        )->toBe([], 'Write them in lang/' . basename($language) . '/findings.json or changes.json.');
    }
});
