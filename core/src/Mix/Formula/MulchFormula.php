<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\Layer;

/** What lies so deep on an area, and how many bags that is */
final readonly class MulchFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        [$area, $depth] = [$in->positive('area', Dimension::Area), $in->positive('depth', Dimension::Length)];
        $volume = $area === null || $depth === null ? null : Layer::volume($area, $depth);
        $bag = $in->positiveOrNull('bag', Dimension::Volume);

        return new FormulaAnswer(
            $volume === null || $in->faults->any()
                ? []
                : ['volume' => $volume] +
                    ($bag === null ? [] : ['bags' => $volume->per($bag)->toScale(0, RoundingMode::CEILING)->toInt()]),
        );
    }
}
