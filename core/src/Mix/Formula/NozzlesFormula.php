<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\NozzleCheck;

/** Which nozzles of a set are worn (rulings J32) */
final readonly class NozzlesFormula implements Formula
{
    private const MOST_NOZZLES = 200;

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $flows = [];
        foreach ($in->objects('caught', self::MOST_NOZZLES, true) as $item) {
            $one = $item->positive('amount', Dimension::Volume);
            $item->noOthers();
            $one === null || ($flows[] = $one);
        }
        $rated = $in->positiveOrNull('rated', Dimension::Volume);
        if ($flows === [] || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $check = NozzleCheck::of($flows, $rated);
        $percent = static fn(BigRational $share): string => (string) $share
            ->multipliedBy(100)
            ->toScale(1, RoundingMode::HALF_UP);

        return new FormulaAnswer([
            'mean' => $check->mean,
            'replace-set' => $check->replaceSet,
            'nozzles' => array_map(
                static fn(array $n): array => ['caught' => $n['flow'], 'off-mean-percent' => $percent($n['offMean'])] +
                    ($n['ofRated'] === null ? [] : ['of-rated-percent' => $percent($n['ofRated'])]) + [
                        'worn' => $n['worn'],
                    ],
                $check->nozzles,
            ),
        ]);
    }
}
