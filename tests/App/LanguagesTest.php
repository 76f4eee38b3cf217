<?php

declare(strict_types=1);

use App\Models\User;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Species;

/**
 * Every language says all that the first one says, with the same values in it: a file of words is all that a further
 * language takes (CONTRIBUTING.md).
 */

/** @return array<string, string> by code */
function wordsIn(string $locale): array
{
    $words = [];
    foreach (glob(base_path("lang/{$locale}/*.json")) ?: [] as $file) {
        $words += json_decode((string) file_get_contents($file), true, 4, JSON_THROW_ON_ERROR);
    }

    return $words;
}

/** @return array<string, mixed> flat, by path */
function interfaceWords(string $locale): array
{
    return Illuminate\Support\Arr::dot(
        json_decode((string) file_get_contents(base_path("web/src/messages/{$locale}.json")), true, 32),
    );
}

/**
 * The names of the values that a pattern takes; a branch that is one word is no value.
 *
 * @return list<string>
 */
function valuesOf(string $pattern): array
{
    $branch = '/(?:=\d+|\b(?:one|other|yes|no|none|stems)) ?\{\s*\w+\}/';
    $plain =
        preg_match('/, (?:plural|select)/', $pattern) === 1 ? (string) preg_replace($branch, '', $pattern) : $pattern;
    preg_match_all('/\{\s*(\w+)\s*(?:\}|,\s*(?:plural|select|number))/', $plain, $found);
    $names = array_values(array_unique($found[1]));
    sort($names);

    return $names;
}

$others = array_values(array_diff(Sentences::LOCALES, ['en']));

it('leaves no sentence out, and adds none that nobody says', function (string $locale) {
    $here = array_filter(
        wordsIn($locale),
        static fn(string $code): bool => !str_starts_with($code, 'called.'),
        ARRAY_FILTER_USE_KEY,
    );
    expect(array_diff_key(wordsIn('en'), $here))
        ->toBe([])
        ->and(array_diff_key($here, wordsIn('en')))
        ->toBe([])
        ->and(array_filter($here, static fn(string $said): bool => trim($said) === ''))
        ->toBe([]);
})->with($others);

it('leaves no word of the interface out', function (string $locale) {
    [$first, $here] = [interfaceWords('en'), interfaceWords($locale)];
    expect(array_diff_key($first, $here))->toBe([])->and(array_diff_key($here, $first))->toBe([]);
    $values = static function (string $text): array {
        preg_match_all('/\{(\w+)\}/', $text, $found);
        $names = array_unique($found[1]);
        sort($names);

        return $names;
    };
    foreach ($first as $path => $text) {
        // a plural may leave its number out: "one plant | {n} plants"
        expect($values((string) $here[$path]))->toBe($values((string) $text), $path);
        expect(substr_count((string) $here[$path], ' | '))->toBe(substr_count((string) $text, ' | '), $path);
    }
})->with($others);

it('says every sentence with the values of the first language', function (string $locale) {
    $here = wordsIn($locale);
    foreach (wordsIn('en') as $code => $pattern) {
        expect(valuesOf($here[$code]))->toBe(valuesOf($pattern), $code);
        foreach ([0, 1, 2, 7] as $number) {
            $values = array_fill_keys(valuesOf($pattern), $number);
            expect(MessageFormatter::formatMessage($locale, $here[$code], $values))->toBeString($code);
        }
    }
})->with($others);

it('calls every plant and every active by a name of its own language', function (string $locale) {
    $catalogue = app(Catalogue::class);
    $sentences = new Sentences(base_path('lang'), $locale);
    $words = wordsIn($locale);
    foreach ($catalogue->allSpecies() as $species) {
        expect($words)->toHaveKey("called.{$species->commonName()}");
        expect($sentences->called($species->commonName()))->toBe($words["called.{$species->commonName()}"]);
    }
    foreach ($catalogue->allActives() as $active) {
        expect($words)->toHaveKey("called.{$active->name()}");
    }
    // no two plants under one name
    $plants = array_map(
        static fn(Species $s): string => mb_strtolower($words["called.{$s->commonName()}"]),
        $catalogue->allSpecies(),
    );
    expect(array_values(array_diff_assoc($plants, array_unique($plants))))->toBe([]);
})->with($others);
