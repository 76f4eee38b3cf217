<?php

declare(strict_types=1);

use App\Support\Wording;
use App\Text\Languages;
use App\Text\Refusals;
use App\Text\Sentences;
use Symfony\Component\Finder\Finder;
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

$others = array_values(array_diff(Languages::all(), [Languages::FIRST]));

it('offers every language that has its words of the job and of the screens', function () use ($others) {
    $named = static fn(string $pattern, string $end): array => array_map(
        static fn(string $file): string => basename($file, $end),
        glob(base_path($pattern)) ?: [],
    );
    expect(Languages::all()[0])
        ->toBe('en')
        ->and($named('web/src/messages/*.json', '.json'))
        ->toEqualCanonicalizing(Languages::all())
        ->and($named('web/src/messages/*.parts.ts', '.parts.ts'))
        ->toEqualCanonicalizing($others);
    $sentences = new Sentences(base_path('lang'), Languages::FIRST);
    foreach ([...$others, 'en', '../en', 'xx'] as $locale) {
        $sentences->speak($locale);
        expect($sentences->locale())->toBe(in_array($locale, $others, true) ? $locale : 'en');
    }
});

it('leaves no sentence out, and adds none that nobody says', function (string $locale) {
    $here = array_filter(
        wordsIn($locale),
        static fn(string $code): bool => preg_match('/^(called|refused)\./', $code) !== 1,
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

/**
 * Every piece of the sources that reads as a sentence, or as the end of one, is something refused: all else that people
 * read has a code. Left out are faults of our own, which nobody is told.
 *
 * @return array<string, string> file by piece
 */
function piecesOfRefusals(): array
{
    $pieces = [];
    // commands, bundles and seals speak to whoever keeps the installation, on its console
    $sources = Finder::create()
        ->in([base_path('core/src'), base_path('app')])
        ->name('*.php')
        ->exclude(['Console', 'Bundle', 'Seal', 'Mail']);
    foreach ($sources as $file) {
        $tokens = PhpToken::tokenize($file->getContents());
        for ($i = 0; $i < count($tokens); $i++) {
            if (
                $tokens[$i]->is(T_NEW) &&
                preg_match('/(?:Logic|Runtime|InvalidArgument|Domain)Exception$/', $tokens[$i + 2]->text) === 1
            ) {
                for ($depth = 0, $i += 3; $i < count($tokens); $i++) {
                    $depth += ['(' => 1, ')' => -1][$tokens[$i]->text] ?? 0;
                    if ($depth === 0) {
                        break;
                    }
                }
                continue;
            }
            if (!$tokens[$i]->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE])) {
                continue;
            }
            $text = trim(stripslashes(strtr(trim($tokens[$i]->text, '\'"'), ['\u{00B0}' => '°'])));
            if (preg_match('/^[A-Z][^\n]*[.?:]$/u', $text) === 1 && str_word_count($text) > 2) {
                $pieces[$text] = $file->getFilename();
            }
        }
    }

    return array_diff_key($pieces, ['This action is unauthorized.' => 'the framework\'s own, which is never told']);
}

it('refuses in every language', function (string $locale) {
    $said = array_filter(
        wordsIn($locale),
        static fn(string $code): bool => str_starts_with($code, 'refused.'),
        ARRAY_FILTER_USE_KEY,
    );
    $pieces = piecesOfRefusals();
    $missing = array_filter(
        $pieces,
        static fn(string $piece): bool => array_filter(
            array_keys($said),
            static fn(string $code): bool => str_contains($code, $piece),
        ) === [],
        ARRAY_FILTER_USE_KEY,
    );
    expect(count($pieces))->toBeGreaterThan(250)->and($missing)->toBe([]);
    foreach ($said as $code => $sentence) {
        preg_match_all('/\{\d\}/', $sentence, $used);
        foreach ($used[0] as $place) {
            expect(str_contains($code, $place))->toBeTrue($code);
        }
    }
})->with($others);

it('fills what was refused into the sentence of the language', function () {
    $sentences = new Sentences(base_path('lang'), 'es');
    $refusals = new Refusals($sentences);
    expect($refusals->say('This day is still to come; give one up to 2026-09-03.'))
        ->toBe('Ese día todavía no llega; dé uno hasta 2026-09-03.')
        ->and($refusals->say('Length can be from 1 m to 5 m (3 ft to 16 ft); look at the unit.'))
        ->toBe('Puede ir de 1 m a 5 m (3 ft a 16 ft); mire la unidad.')
        ->and($refusals->say('Add the unit, such as 3 gal; got "3".'))
        ->toBe('Agregue la unidad, como 3 gal; llegó «3».')
        ->and($refusals->say('A sentence that nobody wrote.'))
        ->toBe('A sentence that nobody wrote.');
    $sentences->speak('en');
    expect($refusals->say('It has no shape.'))->toBe('It has no shape.');
});

it('answers whoever asks in their own language, and nobody yet in that of the browser', function () {
    $this->as();
    $this->api('PATCH', '/session', ['locale' => 'es'])->assertOk();
    $this->api('POST', '/grounds', [])
        ->assertStatus(422)
        ->assertJsonPath('title', 'Hay que corregir algo de esto.')
        ->assertJsonPath('errors.0.message', 'Falta este dato: escriba de 1 a 120 letras.');
    // where a refusal brings its own places along
    $this->api('POST', '/session/password', ['password' => 'wrong horse wrong'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.message', 'Esa no es su contraseña.');
    $this->api('GET', '/grounds/01a228c5-0000-7000-8000-000000000000/map')->assertJsonPath(
        'title',
        'Aquí no hay nada.',
    );
});

it('tells whoever works by a sheet what was issued, in their own language', function () {
    $this->as();
    [$stand, $id] = issuedTrees($this);
    $in = function (string $locale, string $path): array {
        $this->api('PATCH', '/session', ['locale' => $locale])->assertOk();

        return $this->api('GET', $path)->assertOk()->json('snapshot');
    };
    $path = "/sheets/{$id}";
    [$english, $spanish] = [$in('en', $path), $in('es', $path)];
    $this->api('POST', "/sheets/{$id}/withdraw", ['reason' => 'Read in both.'])->assertOk();
    // as it would be issued by somebody who reads it so
    expect($english)
        ->toBe($in('en', "/stands/{$stand}/sheet-draft"))
        ->and($spanish)
        ->toBe($in('es', "/stands/{$stand}/sheet-draft"))
        ->and($spanish['method']['name'])
        ->toBe('Corteza basal')
        ->and($spanish['target'])
        ->toMatchArray(['name' => 'Árbol del cielo', 'stems' => $english['target']['stems']])
        ->and($english['target']['name'])
        ->toBe('Tree-of-heaven');
});

it('lays over one telling what another says otherwise, and leaves the first where they are not alike', function (
    array $first,
    array $other,
    array $expected,
) {
    // as the database gives it back
    $kept = json_decode((string) json_encode(Wording::differing($first, $other)), true);
    expect(Wording::over($first, $kept))->toBe($expected);
})->with([
    'texts and figures' => [
        ['a' => ['cut', 'bag', 'go'], 'n' => 3, 'no' => null],
        ['a' => ['corte', 'bag', 'vaya'], 'n' => 4, 'no' => 'algo'],
        ['a' => ['corte', 'bag', 'vaya'], 'n' => 3, 'no' => null],
    ],
    'a list of another length' => [
        ['a' => ['cut', 'bag'], 'b' => 'go'],
        ['a' => ['corte'], 'b' => 'vaya'],
        ['a' => ['cut', 'bag'], 'b' => 'vaya'],
    ],
    'the same' => [['a' => ['cut']], ['a' => ['cut']], ['a' => ['cut']]],
]);
