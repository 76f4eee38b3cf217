<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\MixWire;
use App\Wire\Wire;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Mix\Purchase;
use Thicket\Mix\SumReader;
use Thicket\Mix\Sums;
use Thicket\Mix\SumSolver;

/**
 * One sum of mixing; needs no database. {sum, known} solves one of the sums of handbook 3 in any direction, {need, packs} buys the cheapest cover, and any other
 * document is one of the single sums from a tally. Schema and examples: docs/schemas/mix.schema.json, docs/examples.
 */
final class Mix extends Twin
{
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

            return ['outcome' => $solved->state()] + app(MixWire::class)->solved($solved);
        }
        if ($in->has('need')) {
            [$need, $onShelf, $packs] = (new SumReader($catalogue))->purchase($in);
            $in->noOthers();
            $in->faults->throwIfAny();
            $need ??= throw new \LogicException('refused above');

            return ['outcome' => 'solved'] + app(MixWire::class)->purchase(Purchase::of($need, $onShelf ?? Quantity::zero($need->unit), $packs));
        }
        $solved = (new Sums($catalogue))->solve($in);

        return ['outcome' => $solved['missing'] === [] ? 'solved' : 'cannotTell', 'values' => Wire::values($solved['values']), 'missing' => $solved['missing']];
    }
}
