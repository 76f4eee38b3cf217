<?php

declare(strict_types=1);

namespace App\Resources;

use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Character;
use Thicket\Catalogue\KeyTable;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\RankedSpecies;
use Thicket\Identify\Ranking;

/** What the key answers: candidates, the next question, and what to beware of. */
final readonly class KeyResource
{
    private const SHOWN = 8;
    private const SELDOM = 0.1;

    public function __construct(private Catalogue $catalogue, private Sentences $sentences) {}

    /** @return array<string, mixed> */
    public function result(Ranking $ranking): array
    {
        return [
            'candidates' => $this->candidates($ranking),
            'inPlay' => count($ranking->inPlay()),
            'next' => $ranking->next['character'] ?? null,
            'unsafe' => $ranking->unsafe,
            'traps' => array_map(
                fn(string $trap): array => ['id' => $trap, 'text' => $this->sentences->name("trap.{$trap}")],
                $ranking->traps,
            ),
            'hazards' => array_map(
                fn(string $hazard): string => $this->sentences->name("beware.{$hazard}"),
                $ranking->hazards,
            ),
            'characters' => array_map(
                fn(Character $c): array => $this->character($c, $ranking),
                $this->catalogue->characters(),
            ),
        ];
    }

    /** @return list<array<string, mixed>> the likeliest few */
    public function candidates(Ranking $ranking): array
    {
        return array_map($this->candidate(...), array_slice($ranking->candidates, 0, self::SHOWN));
    }

    /** @return array<string, mixed> */
    private function character(Character $character, Ranking $ranking): array
    {
        $id = $character->id();

        return [
            'id' => $id,
            'question' => $this->sentences->name("character.{$id}"),
            'handling' => $character->handling(),
            'handlingName' => $this->sentences->name('handling.' . $character->handling()),
            'stopped' => in_array($character->handling(), $ranking->unsafe, true),
            // seldom to be seen at this time of year on what it could be
            'outOfSeason' => ($ranking->showing[$id] ?? 1.0) < self::SELDOM,
            'states' => array_map(
                fn(string $s): array => ['id' => $s, 'name' => $this->sentences->name("state.{$s}")],
                [...$character->states(), ...ObservedCharacters::OPEN_ANSWERS],
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function candidate(RankedSpecies $candidate): array
    {
        $species = $this->catalogue->species($candidate->speciesId);

        return [
            'id' => $candidate->speciesId,
            'name' => $this->sentences->called($species->commonName()),
            'scientific' => $species->scientificName(),
            'percent' => (int) round(100 * $candidate->share),
            'agrees' => $candidate->agrees,
            'conflicts' => $candidate->conflicts,
            'unseen' => $candidate->unseen,
            'kept' => $species->keptAs() === null ? null : $this->sentences->name("kept.{$species->keptAs()}"),
            'hazards' => array_map(
                fn(string $h): string => $this->sentences->name("caution.plant-{$h}"),
                array_values(array_intersect($species->hazards(), KeyTable::BURNING)),
            ),
            'drawing' => DrawingResource::of($species),
        ];
    }
}
