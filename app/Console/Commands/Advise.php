<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\BoardWire;
use App\Wire\ChoiceWire;
use App\Wire\ProgrammeWire;
use App\Wire\RecipeWire;
use Thicket\Assess\Board;
use Thicket\Assess\CostCurve;
use Thicket\Assess\Row;
use Thicket\Assess\SideBySide;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Mix\RecipeSolver;
use Thicket\Programmes\Planner;
use Thicket\Situation\SituationReader;

/**
 * The board of one situation; needs no database. Schema and examples: docs/schemas/advise.schema.json, docs/examples.
 */
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
        $compared = array_map(
            fn(string $id): ?Row => $this->row($board, $id, $also, 'compare'),
            $also?->strings('compare') ?? [],
        );
        $costs =
            $also?->has('costs') === true ? $this->row($board, $also->text('costs', 200) ?? '', $also, 'costs') : null;
        $mixed =
            $also?->has('recipe') === true
                ? $this->row($board, $also->text('recipe', 200) ?? '', $also, 'recipe')
                : null;
        $programmes = $also?->bool('programmes', false) ?? false;
        $also?->noOthers();
        $in->has('also') || $in->raw('also');
        $in->noOthers();
        $in->faults->throwIfAny();

        return app(BoardWire::class)->whole($board, $situation) +
            ($programmes
                ? [
                    'programmes' => app(ProgrammeWire::class)->offers(
                        (new Planner($catalogue, $schools, $shed))->offers($situation),
                    )['offers'],
                ]
                : []) +
            ($compared === []
                ? []
                : [
                    'comparison' => app(ChoiceWire::class)->comparison(
                        array_map(
                            static fn(Row $r): SideBySide => SideBySide::of($situation, $r, []),
                            array_values(array_filter($compared)),
                        ),
                    )['columns'],
                ]) +
            ($mixed === null
                ? []
                : [
                    'recipe' =>
                        ['row' => $mixed->candidate->id()] +
                        app(RecipeWire::class)->recipe(RecipeSolver::plain($situation, $mixed->candidate)->solve(null)),
                ]) +
            ($costs === null
                ? []
                : [
                    'costs' => app(ChoiceWire::class)->costs(
                        $costs->candidate,
                        CostCurve::of($situation, $costs->candidate),
                    ),
                ]);
    }

    private function row(Board $board, string $id, ?Fields $also, string $field): ?Row
    {
        return $board->row($id) ?? $also?->fault($field, "The board has no row {$id}.");
    }
}
