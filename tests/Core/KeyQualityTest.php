<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Thicket\Catalogue\Species;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;

/*
 * How well the key names a plant (docs/key.md): thirty species drawn by a seed, each met by a careful and a careless
 * observer who answer what the key asks next, or everything in the fixed order of the character list. States are drawn
 * by the species' own frequencies.
 */

/**
 * @return array{first: float, three: float, answers: float} shares of species named first and among the first three,
 * mean answers given
 */
function observed(float $error, float $unsure, bool $nextBest, int $most): array
{
    $key = new Key(catalogue());
    $random = new Randomizer(new Mt19937(20261123));
    $chance = static fn(): float => $random->getInt(0, 999_999) / 1_000_000;
    $all = array_values(
        array_filter(catalogue()->allSpecies(), static fn(Species $s): bool => count($s->characters()) >= 6),
    );
    $first = $three = $answers = 0;
    foreach (array_slice($random->shuffleArray($all), 0, 30) as $species) {
        $seen = [];
        $fixed = array_map(static fn($c): string => $c->id(), catalogue()->characters());
        for ($asked = 0; $asked < $most; ++$asked) {
            $result = $key->rank(ObservedCharacters::of($seen, catalogue()));
            if ($result->candidates[0]->share > 0.8) {
                break;
            }
            $character = $nextBest ? $result->next['character'] ?? null : $fixed[$asked] ?? null;
            if ($character === null) {
                break;
            }
            $seen[$character] = answerOf($species, $character, $error, $unsure, $chance, $random);
            ++$answers;
        }
        $ids = array_column($key->rank(ObservedCharacters::of($seen, catalogue()))->candidates, 'speciesId');
        $place = array_search($species->id(), $ids, true);
        $first += $place === 0 ? 1 : 0;
        $three += $place !== false && $place < 3 ? 1 : 0;
    }

    return ['first' => $first / 30, 'three' => $three / 30, 'answers' => $answers / 30];
}

function answerOf(
    Species $species,
    string $character,
    float $error,
    float $unsure,
    Closure $chance,
    Randomizer $random,
): string {
    $described = $species->characters()[$character] ?? null;
    foreach (catalogue()->characters() as $one) {
        if ($one->id() === $character) {
            if ($described === null || $chance() < $unsure) {
                return 'not-sure';
            }
            if ($chance() < $error) {
                return $one->states()[$random->getInt(0, count($one->states()) - 1)];
            }
        }
    }
    $weights = array_map(
        static fn(string $f): float => ['always' => 0.95, 'often' => 0.7, 'rarely' => 0.2, 'never' => 0.0][$f],
        $described ?? [],
    );
    $left = $chance() * array_sum($weights);
    foreach ($weights as $state => $weight) {
        $left -= $weight;
        if ($left <= 0) {
            return (string) $state;
        }
    }

    return 'not-sure';
}

it('names the plant for a careful observer, and keeps it in sight for a careless one', function () {
    $careful = observed(0.03, 0.05, true, 8);
    $careless = observed(0.15, 0.3, true, 10);
    $alike = 'Some species have the same characters: give the newest those by which it is told from its kin.';
    expect($careful['three'])
        ->toBeGreaterThanOrEqual(0.9, $alike)
        ->and($careful['first'])
        ->toBeGreaterThanOrEqual(0.9, $alike)
        ->and($careless['three'])
        ->toBeGreaterThanOrEqual(0.75);
});

it('needs fewer answers when it says what to look at next', function () {
    $next = observed(0.03, 0.05, true, 15);
    $fixed = observed(0.03, 0.05, false, 15);
    expect($next['answers'])
        ->toBeLessThan(0.6 * $fixed['answers'])
        ->and($next['three'])
        ->toBeGreaterThanOrEqual($fixed['three'] - 0.1);
});
