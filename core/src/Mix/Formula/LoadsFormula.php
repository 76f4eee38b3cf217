<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\TankPlan;

/** Loads of a tank, whole ones and the part of the last. */
final readonly class LoadsFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $total = $in->positive('total', Dimension::Volume);
        $tank = $in->positive('tank', Dimension::Volume);

        return new FormulaAnswer(
            $total === null || $tank === null || UnitsMixedUp::tooMany($in, 'tank', $total->per($tank))
                ? []
                : LoadFigures::of(TankPlan::of($total, $tank)),
        );
    }
}
