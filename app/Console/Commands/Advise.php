<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\BoardWire;
use App\Wire\ChoiceWire;
use App\Wire\ProgrammeWire;
use App\Wire\Wire;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Methods\Board;
use Thicket\Methods\CostCurve;
use Thicket\Methods\Row;
use Thicket\Methods\SideBySide;
use Thicket\Methods\Situation;
use Thicket\Methods\SituationReader;
use Thicket\Methods\Weights;
use Thicket\Mix\RecipeSolver;
use Thicket\Programmes\Planner;

/** The board of one situation; needs no database. Schema and examples: docs/schemas/advise.schema.json, docs/examples. */
final class Advise extends Twin
{
    protected $signature = 'thicket:advise {file=- : JSON file, or - for standard input}';

    protected $description = 'Judge every method for one situation';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        $reader = new SituationReader($catalogue);
        $situation = $reader->situation($in);
        $schools = $reader->schools($in);
        $shed = $reader->shed($in);
        $weights = Weights::read($in);
        $also = $in->has('also') ? $in->object('also') : null;
        $board = Board::for($situation, $catalogue, $schools, $shed, null, $weights);
        $rows = [];
        foreach ($board->rows as $row) {
            $rows[$row->candidate->id()] = $row;
        }
        $compared = array_map(fn (string $id): ?Row => $this->row($rows, $id, $also, 'compare'), $also?->strings('compare') ?? []);
        $costs = $also?->has('costs') === true ? $this->row($rows, $also->text('costs', 200) ?? '', $also, 'costs') : null;
        $mixed = $also?->has('recipe') === true ? $this->row($rows, $also->text('recipe', 200) ?? '', $also, 'recipe') : null;
        $programmes = $also?->bool('programmes', false) ?? false;
        $also?->noOthers();
        $in->has('also') || $in->raw('also');
        $in->noOthers();
        $in->faults->throwIfAny();

        return app(BoardWire::class)->board($board, $situation)
            + ($programmes ? ['programmes' => app(ProgrammeWire::class)->offers((new Planner($catalogue, $schools, $shed))->offers($situation))['offers']] : [])
            + ($compared === [] ? [] : ['comparison' => app(ChoiceWire::class)->comparison(array_map(static fn (Row $r): SideBySide => SideBySide::of($situation, $r, []), array_values(array_filter($compared))))['columns']])
            + ($mixed === null ? [] : ['recipe' => $this->recipe($situation, $mixed)])
            + ($costs === null ? [] : ['costs' => app(ChoiceWire::class)->costs($costs->candidate, CostCurve::of($situation, $costs->candidate))]);
    }

    /** @return array<string, mixed> what the row would be mixed as, by typical values or by its card */
    private function recipe(Situation $situation, Row $row): array
    {
        $recipe = (new RecipeSolver($situation, $row->candidate, $situation->area))->solve(null);

        return [
            'row' => $row->candidate->id(), 'finished' => $recipe->isFinished(), 'carrier' => $recipe->carrier, 'strength' => Wire::quantity($recipe->strength?->percent()), 'why' => $recipe->strengthWhy,
            'need' => Wire::quantity($recipe->need), 'product' => Wire::quantity($recipe->product()), 'missing' => $recipe->missing, 'blocks' => $recipe->blocks,
            'working' => array_map(static fn (mixed $v): mixed => $v instanceof Quantity ? Wire::quantity($v) : $v, $recipe->working),
        ];
    }

    /** @param array<string, Row> $rows */
    private function row(array $rows, string $id, ?Fields $also, string $field): ?Row
    {
        isset($rows[$id]) || $also?->fault($field, "The board has no row {$id}.");

        return $rows[$id] ?? null;
    }
}
