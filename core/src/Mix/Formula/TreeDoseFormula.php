<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\Calibration;
use Thicket\Mix\Injection;

/**
 * Cuts or strokes from the mL that a label gives a tree, rounded up as cuts are (handbook 3: 5 mL at 2 mL are 3),
 * but never to more than the label allows; with trees a day the mix and the bottles of it to carry.
 */
final readonly class TreeDoseFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $perTree = $in->positive('perTree', Dimension::Volume);
        $each = $in->positive('each', Dimension::Volume);
        $most = $in->positiveOrNull('labelPerStem', Dimension::Volume);
        $diameter = $in->positiveOrNull('diameter', Dimension::Length);
        $carried = CarriedByTree::read($in);
        if ($perTree === null || $each === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $wrong = match (true) {
            $most !== null && $perTree->isGreaterThan($most) => [
                'perTree',
                'This is above the most a tree on the label card.',
            ],
            $most !== null && $each->isGreaterThan($most) => [
                'each',
                'One of these is already more than the label allows a tree: take a finer nozzle or a smaller syringe.',
            ],
            $perTree->per($each)->isGreaterThan(CarriedByTree::MOST_CUTS) => [
                'each',
                'That would be more than 1,000 for one tree: look at the units.',
            ],
            default => null,
        };
        if ($wrong !== null) {
            $in->fault(...$wrong);

            return FormulaAnswer::none();
        }
        $times = Calibration::strokesFor($perTree, $each);
        if ($most !== null && $each->times($times)->isGreaterThan($most)) {
            $times = $most->per($each)->toScale(0, RoundingMode::DOWN)->toInt();
        }
        $given = $each->times($times);

        return new FormulaAnswer(
            ['times' => $times, 'given' => $given, 'short' => $given->isLessThan($perTree)] +
                ($diameter === null ? [] : ['round-spacing' => Injection::spacingRound($diameter, $times)]) +
                $carried->figures($given),
        );
    }
}
