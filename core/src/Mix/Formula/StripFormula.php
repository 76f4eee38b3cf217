<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** Both sides of a row: length x 2 x side */
final readonly class StripFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $rates = AreaRates::read($in);
        $length = $in->positive('length', Dimension::Length);
        $side = $in->positive('side', Dimension::Length);
        $sides = $in->int('sides', 1, 2, 2);
        if ($length === null || $side === null || $sides === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $area = Quantity::of(
            $length->in(Unit::Metre)->multipliedBy($side->in(Unit::Metre))->multipliedBy($sides),
            Unit::SquareMetre,
        );

        return new FormulaAnswer(['area' => $area] + $rates->on($area));
    }
}
