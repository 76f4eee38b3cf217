<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\BoardResource;
use App\Resources\ChoiceResource;
use App\Resources\ProgrammeResource;
use App\Resources\RecipeResource;
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

        return app(BoardResource::class)->whole($board, $situation) +
            ($programmes
                ? [
                    'programmes' => app(ProgrammeResource::class)->offers(
                        (new Planner($catalogue, $schools, $shed))->offers($situation),
                    )['offers'],
                ]
                : []) +
            ($compared === []
                ? []
                : [
                    'comparison' => app(ChoiceResource::class)->comparison(
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
                        ['row' => $mixed->option->id()] +
                        app(RecipeResource::class)->recipe(
                            RecipeSolver::plain($situation, $mixed->option)->solve(null),
                        ),
                ]) +
            ($costs === null
                ? []
                : [
                    'costs' => app(ChoiceResource::class)->costs(
                        $costs->option,
                        CostCurve::of($situation, $costs->option),
                    ),
                ]);
    }

    private function row(Board $board, string $id, ?Fields $also, string $field): ?Row
    {
        return $board->row($id) ?? $also?->fault($field, "The board has no row {$id}.");
    }
}
