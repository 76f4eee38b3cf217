<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\MixResource;
use App\Resources\RecipeResource;
use App\Support\Format;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Formula\FormulaSet;
use Thicket\Mix\Purchase;
use Thicket\Mix\RecipeSolver;
use Thicket\Mix\SumReader;
use Thicket\Mix\SumSolver;
use Thicket\Situation\SituationReader;

/**
 * One sum of mixing; needs no database. {sum, known} solves one of the sums of handbook 3 in any direction, {need,
 * packs} buys the cheapest cover,
 * {row, stand} mixes a row of the board, and any other document is one of the single sums from a tally. Schema and
 * examples: docs/schemas/mix.schema.json, docs/examples.
 */
final class Mix extends Twin
{
    private const MOST_PEOPLE = 20;

    protected $signature = 'thicket:mix {file=- : JSON file, or - for standard input}';

    protected $description = 'Work out one mixing sum';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        if ($in->has('known')) {
            [$table, $given] = (new SumReader($catalogue))->read($in);
            $in->noOthers();
            $in->faults->throwIfAny();
            $solved = SumSolver::solve($table ?? throw new \LogicException('refused above'), $given);

            return ['outcome' => $solved->state()] + app(MixResource::class)->solved($solved);
        }
        if ($in->has('need')) {
            [$need, $onShelf, $packs] = (new SumReader($catalogue))->purchase($in);
            $in->noOthers();
            $in->faults->throwIfAny();
            $need ??= throw new \LogicException('refused above');

            return ['outcome' => 'solved'] +
                app(MixResource::class)->purchase(Purchase::of($need, $onShelf ?? Quantity::zero($need->unit), $packs));
        }
        if ($in->has('row')) {
            return $this->ofStand($in, $catalogue);
        }
        $solved = (new FormulaSet($catalogue))->solve($in);

        return [
            'outcome' => $solved->missing === [] ? 'solved' : 'cannotTell',
            'values' => Format::values($solved->values),
            'missing' => $solved->missing,
        ];
    }

    /** @return array<string, mixed> what a row of the board is mixed as, for the stand of the document */
    private function ofStand(Fields $in, Catalogue $catalogue): array
    {
        $reader = new SituationReader($catalogue);
        $id = $in->text('row', 200);
        $stand = $in->object('stand');
        $situation = $reader->situation($stand);
        $board = Board::for($situation, $catalogue, $reader->schools($stand), $reader->shed($stand));
        $stand->noOthers();
        $tank = $in->positiveOrNull('tank', Dimension::Volume);
        $people = $in->int('people', 1, self::MOST_PEOPLE, 1) ?? 1;
        $row = $board->row($id ?? '');
        $id === null || $row !== null || $in->fault('row', "The board has no row {$id}.");
        $in->noOthers();
        $in->faults->throwIfAny();
        $row ??= throw new \LogicException('refused above');
        $solver = RecipeSolver::plain($situation, $row->option);
        $plan = new MixPlan($situation, $row->option, $solver->carrier());
        $recipe = $solver->advised($plan, $tank, null, $people);
        $outcome = match (true) {
            $recipe->blocks !== [] => 'contradiction',
            $recipe->missing !== [] => 'cannotTell',
            default => 'solved',
        };

        return [
            'outcome' => $outcome,
            'row' => $row->option->id(),
            'verdict' => $row->outcome->value,
            'recipe' => app(RecipeResource::class)->recipe($recipe),
        ];
    }
}
