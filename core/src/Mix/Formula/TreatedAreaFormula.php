<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\TreatedArea;

/**
 * What of an area gets the rate (handbook 2): 2 x each side / row spacing of it, the share that the weed covers, or
 * its plants times the ground a crown of their height covers; never the whole without saying.
 */
final readonly class TreatedAreaFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $rates = AreaRates::read($in);
        $ways = ['rowSpacing', 'coverPercent', 'plants'];
        $told = array_values(array_filter($ways, $in->has(...)));
        if (count($told) !== 1) {
            $in->fault(
                $told[1] ?? 'rowSpacing',
                'Give one: rowSpacing with stripSide, coverPercent, or plants with height.',
            );
            array_map($in->raw(...), ['area', 'stripSide', 'height', ...$ways]);

            return FormulaAnswer::none();
        }
        if ($told[0] === 'plants') {
            [$plants, $height] = [
                $in->int('plants', 1, RingsFormula::MOST_RINGS),
                $in->positive('height', Dimension::Length),
            ];
            $area =
                $plants === null || $height === null
                    ? null
                    : TreatedArea::underCrowns(
                        $catalogue->coefficients(),
                        TreatedArea::classOfHeight($height),
                        $plants,
                    );

            return new FormulaAnswer(($area === null ? [] : ['treated' => $area]) + $rates->on($area));
        }
        $area = $in->positive('area', Dimension::Area);
        if ($told[0] === 'rowSpacing') {
            $rows = $in->positive('rowSpacing', Dimension::Length);
            $side = $in->positive('stripSide', Dimension::Length);
            if ($rows !== null && $side !== null && $side->times(2)->isGreaterThan($rows)) {
                $in->fault('stripSide', 'Strips so wide meet between the rows: give half the row spacing at most.');
            }
            $share = $rows === null || $side === null ? null : TreatedArea::shareOfRows($rows, $side);
        } else {
            $percent = $in->int('coverPercent', 1, 100);
            $share = $percent === null ? null : BigRational::of($percent)->dividedBy(100);
        }
        $treated = $area === null || $share === null || $in->faults->any() ? null : $area->times($share);

        return new FormulaAnswer(
            ($treated === null || $share === null
                ? []
                : ['treated' => $treated, 'percent-of-area' => Quantity::of($share->multipliedBy(100), Unit::One)]) +
                $rates->on($treated),
        );
    }
}
