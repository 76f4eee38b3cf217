<?php

declare(strict_types=1);

namespace Thicket\Plants;

use Thicket\Input\Refused;
use Thicket\Knowledge\Catalogue;
use Thicket\Knowledge\Node;

/**
 * Multi-access key: any characters in any order, 'not-sure' and 'not-visible' always allowed (handbook 1).
 *
 * Model: each species starts equal. A seen state multiplies by the chance of seeing it (always 0.95, often 0.7,
 * rarely 0.2, never 0.02; a state the file does not list counts as never where the character is described, and 0.5
 * where it is not). Shares are normalised. The next question is the character with the greatest expected information
 * gain whose handling is safe for every candidate still in play (rulings J1). Floats: a ranking, not a measure.
 */
final readonly class Key
{
    private const CHANCE = ['always' => 0.95, 'often' => 0.7, 'rarely' => 0.2, 'never' => 0.02];
    private const UNDESCRIBED = 0.5;
    /** A species is still in play while its share is at least this part of the leader's. */
    private const IN_PLAY = 0.05;
    private const BURNING = ['poisonous', 'skin-burning-sap', 'skin-irritant', 'irritant-oil'];
    public const OPEN_ANSWERS = ['not-sure', 'not-visible'];

    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param array<string, string> $seen character id => state, 'not-sure' or 'not-visible'
     *
     * @return array{candidates: list<Candidate>, next: array{character: string, gain: float}|null, unsafe: list<string>}
     *
     * @throws Refused when a character or state does not exist
     */
    public function rank(array $seen): array
    {
        $this->check($seen);
        $seen = array_filter($seen, static fn (string $state): bool => !in_array($state, self::OPEN_ANSWERS, true));
        $weights = [];
        foreach ($this->catalogue->allSpecies() as $species) {
            $weight = 1.0;
            foreach ($seen as $character => $state) {
                $weight *= self::chance($species, $character, $state);
            }
            $weights[$species->id()] = $weight;
        }
        $total = array_sum($weights);
        $candidates = [];
        foreach ($weights as $id => $weight) {
            $candidates[] = $this->candidate($id, $weight / $total, $seen);
        }
        usort($candidates, static fn (Candidate $a, Candidate $b): int => [$b->share, $a->speciesId] <=> [$a->share, $b->speciesId]);
        $unsafe = $this->unsafeHandling($candidates);

        return ['candidates' => $candidates, 'next' => $this->next($candidates, $seen, $unsafe), 'unsafe' => $unsafe];
    }

    private static function chance(Species $species, string $character, string $state): float
    {
        $described = $species->characters()[$character] ?? null;
        if ($described === null) {
            return self::UNDESCRIBED;
        }

        return self::CHANCE[$described[$state] ?? 'never'] ?? throw new \LogicException("{$species->id()}: '{$described[$state]}' is no frequency.");
    }

    /** @param array<string, string> $seen */
    private function candidate(string $id, float $share, array $seen): Candidate
    {
        $species = $this->catalogue->species($id);
        $agrees = $conflicts = [];
        foreach ($seen as $character => $state) {
            $described = $species->characters()[$character] ?? null;
            if ($described === null) {
                continue;
            }
            in_array($described[$state] ?? 'never', ['always', 'often'], true) ? $agrees[] = $character : $conflicts[] = $character;
        }
        $unseen = array_values(array_diff(array_keys($species->characters()), array_keys($seen)));

        return new Candidate($id, $share, $agrees, $conflicts, $unseen);
    }

    /**
     * Handling classes that are closed while a burning or poisonous candidate is in play.
     *
     * @param list<Candidate> $candidates
     *
     * @return list<string>
     */
    private function unsafeHandling(array $candidates): array
    {
        foreach ($this->inPlay($candidates) as $candidate) {
            if ($this->catalogue->species($candidate->speciesId)->hasHazard(...self::BURNING)) {
                return ['cut'];
            }
        }

        return [];
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return list<Candidate>
     */
    private function inPlay(array $candidates): array
    {
        $leader = $candidates[0]->share;

        return array_values(array_filter($candidates, static fn (Candidate $c): bool => $c->share >= self::IN_PLAY * $leader));
    }

    /**
     * @param list<Candidate> $candidates
     * @param array<string, string> $seen
     * @param list<string> $unsafe
     *
     * @return array{character: string, gain: float}|null
     */
    private function next(array $candidates, array $seen, array $unsafe): ?array
    {
        $inPlay = $this->inPlay($candidates);
        if (count($inPlay) < 2) {
            return null;
        }
        $best = null;
        foreach ($this->catalogue->characters() as $character) {
            if (isset($seen[$character->string('id')]) || in_array($character->string('handling'), $unsafe, true)) {
                continue;
            }
            $gain = $this->gain($inPlay, $character);
            if ($gain > 0.001 && ($best === null || $gain > $best['gain'])) {
                $best = ['character' => $character->string('id'), 'gain' => round($gain, 4)];
            }
        }

        return $best;
    }

    /**
     * Mutual information in bits between species and the state that would be seen.
     *
     * @param list<Candidate> $inPlay
     */
    private function gain(array $inPlay, Node $character): float
    {
        $total = array_sum(array_map(static fn (Candidate $c): float => $c->share, $inPlay));
        $states = $character->strings('states');
        $expected = [];
        $conditional = 0.0;
        foreach ($inPlay as $candidate) {
            $share = $candidate->share / $total;
            $species = $this->catalogue->species($candidate->speciesId);
            $chances = array_map(static fn (string $state): float => self::chance($species, $character->string('id'), $state), $states);
            $sum = array_sum($chances);
            foreach ($chances as $i => $chance) {
                $p = $chance / $sum;
                $expected[$i] = ($expected[$i] ?? 0.0) + $share * $p;
                $conditional -= $share * $p * log($p, 2);
            }
        }
        $entropy = 0.0;
        foreach ($expected as $p) {
            $entropy -= $p * log($p, 2);
        }

        return $entropy - $conditional;
    }

    /** @param array<string, string> $seen */
    private function check(array $seen): void
    {
        $faults = [];
        $known = [];
        foreach ($this->catalogue->characters() as $character) {
            $known[$character->string('id')] = [...$character->strings('states'), ...self::OPEN_ANSWERS];
        }
        foreach ($seen as $character => $state) {
            if (!isset($known[$character])) {
                $faults[] = ['pointer' => '/seen/' . mb_strimwidth(mb_scrub($character), 0, 60), 'message' => 'There is no such character; there are: ' . implode(', ', array_keys($known)) . '.'];
            } elseif (!in_array($state, $known[$character], true)) {
                $faults[] = ['pointer' => "/seen/{$character}", 'message' => 'This is not one of: ' . implode(', ', $known[$character]) . '.'];
            }
        }
        if ($faults !== []) {
            throw new Refused($faults);
        }
    }
}
