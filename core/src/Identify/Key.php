<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\KeyTable;
use Thicket\Catalogue\Trap;

/**
 * Multi-access key: any characters in any order, 'not-sure' and 'not-visible' always allowed (handbook 1).
 *
 * Model: each species starts equal. A seen state multiplies by the chance of seeing it (KeyTable::CHANCE; a state that
 * the file does not list counts as never where the character is described, and 0.5 where it is not); several states of
 * one character multiply one after another. A state that is a known mistake counts no harder than rarely (traps.yaml).
 * A flower, fruit or leaf seen at a time when the species should bear none multiplies by 0.3 more: early and late years
 * exist. Shares are normalised. The next question is the character with the greatest expected information gain, weighed
 * by how many of the candidates show it today, whose handling is safe for all that are in play (rulings J1). Floats: a
 * ranking, not a measure.
 */
final readonly class Key
{
    private const OUT_OF_SEASON = 0.3;
    private const LEAST_GAIN_BITS = 0.001;

    public function __construct(private Catalogue $catalogue) {}

    /** @param SeasonalVisibility|null $today which season it is at the ground; null judges without one */
    public function rank(ObservedCharacters $sight, ?SeasonalVisibility $today = null): Ranking
    {
        $traps = $this->traps($sight);
        $softened = array_filter(array_map(static fn(Trap $trap): ?string => $trap->softens(), $traps));
        $characters = $this->characters();
        $table = $this->catalogue->keyTable();
        $weights = [];
        foreach ($table as $id => $row) {
            $weight = $today?->isHardy($row['zones']) === false ? KeyTable::OUT_OF_ZONE : 1.0;
            foreach ($sight->states as $character => $states) {
                foreach ($states as $state) {
                    $weight *= self::chance(
                        $row,
                        $characters[$character],
                        $state,
                        in_array($character, $softened, true),
                    );
                }
                if (
                    $characters[$character]['season'] !== null &&
                    $today?->shows($row['shows'][$characters[$character]['season']] ?? null) === false
                ) {
                    $weight *= self::OUT_OF_SEASON;
                }
            }
            $weights[$id] = $weight;
        }
        $total = array_sum($weights);
        $ids = array_keys($weights);
        array_multisort($weights, SORT_DESC, SORT_NUMERIC, $ids, SORT_ASC, SORT_STRING);
        $shares = array_values($weights);
        $candidates = [];
        foreach ($ids as $i => $id) {
            $candidates[] = $this->candidate($id, $shares[$i] / $total, $sight, $characters, $table[$id]['characters']);
        }
        $inPlay = Ranking::near($candidates);
        $burning = $this->hazardsOf($inPlay);
        $feared = array_merge([], ...array_map(static fn(Trap $trap): array => $trap->hazards(), $traps));
        $unsafe = $burning === [] && $feared === [] ? [] : ['cut'];
        [$next, $showing] = $this->look($inPlay, $sight, $characters, $unsafe, $today);
        $warned = [...$sight->isEmpty() ? [] : $burning, ...$feared];

        return new Ranking(
            $candidates,
            $next,
            $unsafe,
            array_values(array_unique(array_map(static fn(Trap $trap): string => $trap->id(), $traps))),
            array_values(array_intersect(KeyTable::BURNING, $warned)),
            $showing,
        );
    }

    /**
     * Mutual information in bits between equal-weighted species and the state that would be seen: how well a character
     * parts them.
     *
     * @param list<string> $speciesIds
     */
    public function parts(string $character, array $speciesIds): float
    {
        $equal = array_map(
            static fn(string $id): RankedSpecies => new RankedSpecies($id, 1 / count($speciesIds), [], [], []),
            $speciesIds,
        );

        return $this->gain($equal, $character, count($this->characters()[$character]['states']), null, null)['gain'];
    }

    /**
     * @return array<string, array{id: string, states: array<string, int>, season: string|null, handling: string}>
     * states by their place
     */
    private function characters(): array
    {
        $out = [];
        foreach ($this->catalogue->characters() as $character) {
            $out[$character->id()] = [
                'id' => $character->id(),
                'states' => array_flip($character->states()),
                'season' => $character->season(),
                'handling' => $character->handling(),
            ];
        }

        return $out;
    }

    /**
     * @param array{characters: array<string, array{chance: list<float>}|null>, ...} $row of the key table
     * @param array{id: string, states: array<string, int>, ...} $character
     */
    private static function chance(array $row, array $character, string $state, bool $softened): float
    {
        if (!array_key_exists($character['id'], $row['characters'])) {
            return KeyTable::UNDESCRIBED;
        }
        $chance =
            $row['characters'][$character['id']]['chance'][$character['states'][$state]] ?? KeyTable::CHANCE['never'];

        return $softened ? max($chance, KeyTable::CHANCE['rarely']) : $chance;
    }

    /**
     * @param array<string, array{states: array<string, int>, ...}> $characters
     * @param array<string, array{chance: list<float>}|null> $described
     */
    private function candidate(
        string $id,
        float $share,
        ObservedCharacters $sight,
        array $characters,
        array $described,
    ): RankedSpecies {
        $agrees = $conflicts = [];
        foreach ($sight->states as $character => $states) {
            if (!array_key_exists($character, $described)) {
                continue;
            }
            $least = min([
                1.0,
                ...array_map(
                    static fn(string $s): float => $described[$character]['chance'][
                        $characters[$character]['states'][$s]
                    ] ?? KeyTable::CHANCE['never'],
                    $states,
                ),
            ]);
            $least >= KeyTable::CHANCE['often'] ? ($agrees[] = $character) : ($conflicts[] = $character);
        }
        $unseen = array_values(
            array_diff(
                array_keys(array_filter($described, static fn(?array $d): bool => $d !== null)),
                array_keys($sight->states),
            ),
        );

        return new RankedSpecies($id, $share, $agrees, $conflicts, $unseen);
    }

    /**
     * @param list<RankedSpecies> $candidates
     *
     * @return list<string> burning and poisoning hazards among them
     */
    private function hazardsOf(array $candidates): array
    {
        $table = $this->catalogue->keyTable();
        $found = [];
        foreach ($candidates as $candidate) {
            $found += array_flip($table[$candidate->speciesId]['burns']);
        }

        return array_keys($found);
    }

    /**
     * The next best question, and on what part of the candidates each character shows.
     *
     * @param list<RankedSpecies> $inPlay
     * @param array<string, array{states: array<string, int>, season: string|null, handling: string, ...}> $characters
     * @param list<string> $unsafe
     *
     * @return array{array{character: string, gain: float}|null, array<string, float>}
     */
    private function look(
        array $inPlay,
        ObservedCharacters $sight,
        array $characters,
        array $unsafe,
        ?SeasonalVisibility $today,
    ): array {
        $best = null;
        $showing = [];
        foreach ($characters as $id => $character) {
            ['gain' => $gain, 'showing' => $showing[$id]] = $this->gain(
                $inPlay,
                $id,
                count($character['states']),
                $character['season'],
                $today,
            );
            $open =
                !isset($sight->states[$id]) &&
                !isset($sight->open[$id]) &&
                !in_array($character['handling'], $unsafe, true);
            if (
                $open &&
                count($inPlay) > 1 &&
                $gain > self::LEAST_GAIN_BITS &&
                ($best === null || $gain > $best['gain'])
            ) {
                $best = ['character' => $id, 'gain' => round($gain, 4)];
            }
        }

        return [$best, $showing];
    }

    /**
     * Mutual information in bits between species and the state that would be seen, over those on which the character
     * shows; the others would answer 'not visible', which tells nothing.
     *
     * @param list<RankedSpecies> $inPlay
     *
     * @return array{gain: float, showing: float} showing is the share on which it can be seen today, of the candidates
     *     that have such a thing
     */
    private function gain(
        array $inPlay,
        string $character,
        int $states,
        ?string $season,
        ?SeasonalVisibility $today,
    ): array {
        $table = $this->catalogue->keyTable();
        $expected = array_fill(0, $states, 0.0);
        $conditional = $shown = $having = $total = 0.0;
        $even = 1 / $states;
        $evenEntropy = log($states, 2);
        foreach ($inPlay as $candidate) {
            $total += $candidate->share;
            $row = $table[$candidate->speciesId];
            $silent = !array_key_exists($character, $row['characters']);
            $described = $row['characters'][$character] ?? null;
            if (!$silent && $described === null) {
                continue;
            }
            $having += $candidate->share;
            if ($season !== null && $today?->shows($row['shows'][$season] ?? null) === false) {
                continue;
            }
            $shown += $candidate->share;
            $conditional += $candidate->share * ($described['entropy'] ?? $evenEntropy);
            for ($i = 0; $i < $states; ++$i) {
                $expected[$i] += $candidate->share * ($described['part'][$i] ?? $even);
            }
        }
        if ($shown <= 0.0) {
            return ['gain' => 0.0, 'showing' => $having > 0.0 ? 0.0 : 1.0];
        }
        $entropy = 0.0;
        foreach ($expected as $weight) {
            $p = $weight / $shown;
            $entropy -= $p > 0 ? $p * log($p, 2) : 0;
        }

        return [
            'gain' => (max(0.0, $entropy - $conditional / $shown) * $shown) / $total,
            'showing' => $shown / $having,
        ];
    }

    /** @return list<Trap> traps that what was seen could be */
    private function traps(ObservedCharacters $sight): array
    {
        return array_values(
            array_filter($this->catalogue->traps(), static function (Trap $trap) use ($sight): bool {
                foreach ($trap->lines() as ['character' => $character, 'states' => $states, 'orUnseen' => $orUnseen]) {
                    $unseen = !isset($sight->states[$character]);
                    if (!($unseen && $orUnseen) && !$sight->saw($character, ...$states)) {
                        return false;
                    }
                }

                return true;
            }),
        );
    }
}
