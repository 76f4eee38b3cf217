<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/** Nutrients in a bag by its grade, percent of N, P2O5 and K2O by weight */
final readonly class BagFormula implements Formula
{
    /**
     * Phosphorus in P2O5 and potassium in K2O by weight: 61.9475 / 141.9445 and 78.1966 / 94.1960 (standard atomic
     * weights).
     */
    private const PHOSPHORUS = '619475/1419445';
    private const POTASSIUM = '781966/941960';

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $weight = $in->positive('weight', Dimension::Mass);
        $grade = $in->text('grade', 20);
        if (
            $grade !== null &&
            preg_match(
                '/^(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)$/D',
                $grade,
                $found,
            ) !== 1
        ) {
            $grade = $in->fault('grade', 'Write the three figures of the bag, such as 5-10-10.');
        }
        if ($weight === null || $grade === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        [$n, $p, $k] = array_map(
            static fn(string $percent): Quantity => $weight->times(BigRational::of($percent)->dividedBy(100)),
            explode('-', $grade),
        );
        $whole = $n->plus($p)->plus($k);
        if ($whole->isGreaterThan($weight)) {
            $in->fault('grade', 'The three figures come to more than the bag.');

            return FormulaAnswer::none();
        }

        return new FormulaAnswer([
            'n' => $n,
            'p2o5' => $p,
            'k2o' => $k,
            'p' => $p->times(BigRational::of(self::PHOSPHORUS)),
            'k' => $k->times(BigRational::of(self::POTASSIUM)),
        ]);
    }
}
