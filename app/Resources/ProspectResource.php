<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Stand;
use App\Repositories\SituationRepository;
use App\Text\Sentences;
use Thicket\Assess\Board;
use Thicket\Assess\Row;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\RankedSpecies;
use Thicket\Identify\Unnamed;
use Thicket\Verdict\Outcome;

/** A stand without a name: how it is handled, and what each name it could bear would open (handbook 1, rulings J25). */
final readonly class ProspectResource
{
    /** Names worth trying out: the board is judged once for each. */
    private const TRIED = 3;

    public function __construct(
        private Catalogue $catalogue,
        private Sentences $sentences,
        private SituationRepository $situations,
    ) {}

    /** @return array<string, mixed> */
    public function of(Stand $stand): array
    {
        $crew = $stand->patch->ground->crew;
        $situation = $this->situations->situation($stand);
        $ranking = $this->situations->ranking($stand, $situation->day);
        $unnamed = Unnamed::of($ranking, $this->catalogue, $crew->settings['listed'] ?? []);
        $schools = $this->situations->schools($crew);
        $shed = $this->situations->shed($crew);
        $unlocks = array_map(
            fn(RankedSpecies $c): array => [
                'id' => $c->speciesId,
                'name' => $this->sentences->called($this->catalogue->species($c->speciesId)->commonName()),
                'percent' => (int) round(100 * $c->share),
                'kept' => in_array($c->speciesId, $unnamed->kept, true),
                'ways' => $this->ways(
                    Board::for(
                        $situation->named($this->catalogue->species($c->speciesId)),
                        $this->catalogue,
                        $schools,
                        $shed,
                    ),
                ),
            ],
            array_slice($ranking->inPlay(), 0, self::TRIED),
        );

        return [
            'holds' => $unnamed->holds(),
            'kept' => array_map(
                fn(string $id): string => $this->sentences->called($this->catalogue->species($id)->commonName()),
                $unnamed->kept,
            ),
            'listed' => array_map(
                fn(string $id): string => $this->sentences->called($this->catalogue->species($id)->commonName()),
                $unnamed->listed,
            ),
            'inPlay' => count($ranking->inPlay()),
            'wearing' => $this->sentences->name('unnamed.wearing'),
            'unlocks' => $unlocks,
        ];
    }

    /** @return list<array{id: string, name: string, outcome: string}> each way of working once, at its best */
    private function ways(Board $board): array
    {
        $best = [];
        foreach ($board->rows as $row) {
            $id = $row->option->method->id();
            if (
                in_array($row->outcome, [Outcome::Fits, Outcome::WithCare, Outcome::NotNow], true) &&
                (!isset($best[$id]) || $row->outcome->rank() > $best[$id]->outcome->rank())
            ) {
                $best[$id] = $row;
            }
        }

        return array_map(
            fn(Row $row): array => [
                'id' => $row->option->method->id(),
                'name' => $this->sentences->name("method.{$row->option->method->id()}"),
                'outcome' => $row->outcome->value,
            ],
            array_values($best),
        );
    }
}
