<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\Dose;
use Thicket\Mix\Injection;

/**
 * A frill with bridges of bark: cuts of the blade's width over a share of the girth, half of it where nobody says
 * otherwise (handbook 2, spacing schools); rounding up never lifts the dose above the label's mL a tree.
 */
final readonly class FrillFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $diameter = $in->positive('diameter', Dimension::Length);
        $blade = $in->positive('blade', Dimension::Length);
        $perCut = $in->positive('perCut', Dimension::Volume);
        $percent = $in->int('cutPercent', 1, 99, 50);
        $most = $in->positiveOrNull('labelPerStem', Dimension::Volume);
        $carried = CarriedByTree::read($in);
        if ($diameter === null || $blade === null || $perCut === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $girth = Injection::girth($diameter);
        $toCut = $girth->times(BigRational::of($percent ?? 50)->dividedBy(100));
        if ($toCut->per($blade)->isGreaterThan(CarriedByTree::MOST_CUTS)) {
            $in->fault('blade', 'That would be more than 1,000 cuts round one tree: look at the units.');

            return FormulaAnswer::none();
        }
        $cuts = $toCut->per($blade)->toScale(0, RoundingMode::CEILING)->toInt();
        $bark = $girth->minus($blade->times($cuts)->to($girth->unit));
        if (!$bark->amount->isPositive()) {
            $in->fault(
                'blade',
                'Cuts so wide meet all round and leave no bark between: take a narrower blade, or girdle.',
            );

            return FormulaAnswer::none();
        }
        $given = $perCut->times($cuts);
        $capped = $most !== null && $given->isGreaterThan($most);
        $given = $capped ? $most : $given;

        return new FormulaAnswer(
            [
                'girth' => $girth,
                'cuts' => $cuts,
                'bridge' => $bark->dividedBy($cuts),
                'per-cut' => $given->dividedBy($cuts),
                'given' => $given,
                'capped-by-label' => $capped,
            ] + $carried->figures($given),
        );
    }
}
