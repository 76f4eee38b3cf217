<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Pi;

/**
 * What a tape read round a stem is across; of two readings of a tapered stem, or across a wide and a
 * narrow side, the mean
 */
final readonly class GirthFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $girth = $in->positive('girth', Dimension::Length);
        $second = $in->positiveOrNull('second', Dimension::Length);
        if ($girth === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $mean = $second === null ? $girth : $girth->plus($second)->dividedBy(2);

        return new FormulaAnswer(['girth' => $mean, 'diameter' => $mean->dividedBy(Pi::value())]);
    }
}
