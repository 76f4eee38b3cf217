<?php

declare(strict_types=1);

namespace App\Wire;

use App\Text\Sentences;
use Thicket\Knowledge\Catalogue;
use Thicket\Plants\Candidate;

final readonly class KeyWire
{
    private const SHOWN = 8;

    public function __construct(private Catalogue $catalogue, private Sentences $sentences)
    {
    }

    /**
     * @param array{candidates: list<Candidate>, next: array{character: string, gain: float}|null, unsafe: list<string>} $result
     *
     * @return array<string, mixed>
     */
    public function result(array $result): array
    {
        return [
            'candidates' => array_map($this->candidate(...), array_slice($result['candidates'], 0, self::SHOWN)),
            'next' => $result['next']['character'] ?? null,
            'unsafe' => $result['unsafe'],
            'characters' => array_map(fn ($c): array => [
                'id' => $c->string('id'), 'question' => $this->sentences->name('character.' . $c->string('id')), 'handling' => $c->string('handling'), 'handlingName' => $this->sentences->name('handling.' . $c->string('handling')),
                'stopped' => in_array($c->string('handling'), $result['unsafe'], true),
                'states' => array_map(fn (string $s): array => ['id' => $s, 'name' => $this->sentences->name("state.{$s}")], [...$c->strings('states'), ...\Thicket\Plants\Key::OPEN_ANSWERS]),
            ], $this->catalogue->characters()),
        ];
    }

    /** @return array<string, mixed> */
    private function candidate(Candidate $candidate): array
    {
        $species = $this->catalogue->species($candidate->speciesId);

        return [
            'id' => $candidate->speciesId, 'name' => $species->commonName(), 'scientific' => $species->scientificName(),
            'percent' => (int) round(100 * $candidate->share), 'agrees' => $candidate->agrees, 'conflicts' => $candidate->conflicts, 'unseen' => $candidate->unseen,
            'hazards' => array_map(fn (string $h): string => $this->sentences->name("caution.plant-{$h}"), array_values(array_intersect($species->hazards(), ['poisonous', 'skin-burning-sap', 'irritant-oil']))),
        ];
    }
}
