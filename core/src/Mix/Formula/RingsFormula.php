<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Circles round trees: n x pi/4 x d squared, less what neighbours in a row share, 2 r2 acos(s / 2r) - s/2 sqrt(4 r2
 * - s2) each (geometry, in floats).
 */
final readonly class RingsFormula implements Formula
{
    public const MOST_RINGS = 1_000_000;

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $rates = AreaRates::read($in);
        $count = $in->int('count', 1, self::MOST_RINGS);
        $across = $in->positive('across', Dimension::Length);
        $apart = $in->positiveOrNull('apart', Dimension::Length);
        $rows = $in->int('rows', 1, self::MOST_RINGS, 1);
        if ($count === null || $across === null || $rows === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        if ($rows > $count) {
            $in->fault('rows', 'There cannot be more rows than trees.');
        }
        $d = $across->in(Unit::Metre);
        $one = Quantity::of($d->multipliedBy($d)->dividedBy(4)->multipliedBy(Pi::value()), Unit::SquareMetre);
        $shared = Quantity::zero(Unit::SquareMetre);
        if ($apart !== null && $apart->isLessThan($across)) {
            [$r, $s] = [$across->float(Unit::Metre) / 2, $apart->float(Unit::Metre)];
            $lens = 2 * $r ** 2 * acos($s / (2 * $r)) - ($s / 2) * sqrt(4 * $r ** 2 - $s ** 2);
            $shared = Quantity::of(number_format($lens, 9, '.', ''), Unit::SquareMetre)->times($count - $rows);
        }
        $area = $one->times($count)->minus($shared);

        return new FormulaAnswer(['one' => $one, 'shared' => $shared, 'area' => $area] + $rates->on($area));
    }
}
