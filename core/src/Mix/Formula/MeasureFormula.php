<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Unit;
use Thicket\Mix\MeasuringTool;

/** What a measuring tool can be read for: marks, fillings, and how far off that is. */
final readonly class MeasureFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $amount = $in->positive('amount', Dimension::Volume);
        $graduation = $in->positive('graduation', Dimension::Volume);
        $holds = $in->positive('holds', Dimension::Volume);
        $most = $in->quantityOrNull('labelMost', Dimension::Volume);
        if ($amount === null || $graduation === null || $holds === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $tool = new MeasuringTool('tool', $graduation, $holds);
        [$above, $tooSmall, $tooCoarse] = [
            $most !== null && $amount->isGreaterThan($most),
            $graduation->isGreaterThan($holds),
            !$tool->reads($amount, $most),
        ];
        $above && $in->fault('amount', 'This is above the most on the label card, ' . self::said($most) . '.');
        $tooSmall && $in->fault('graduation', 'One mark cannot be more than the tool holds.');
        $tooCoarse &&
            !$above &&
            !$tooSmall &&
            $in->fault(
                'graduation',
                'This tool cannot read so little: take one with marks of ' .
                    self::said($amount) .
                    ' or finer, or make a larger batch.',
            );
        if (
            $above ||
            $tooSmall ||
            $tooCoarse ||
            UnitsMixedUp::tooMany($in, 'holds', $amount->per($holds)) ||
            UnitsMixedUp::tooMany($in, 'graduation', $amount->per($graduation)->dividedBy(1000))
        ) {
            return FormulaAnswer::none();
        }
        $read = $tool->measure($amount, $most);

        return new FormulaAnswer([
            'measured' => $read['measured'],
            'fillings' => $read['fillings'],
            'error-percent' => Quantity::of($read['errorPercent'], Unit::One),
        ]);
    }

    /** In both systems, for a sentence of a fault. */
    private static function said(?Quantity $quantity): string
    {
        $both = $quantity === null ? ['us' => '', 'metric' => ''] : Shown::both($quantity);

        return "{$both['us']} ({$both['metric']})";
    }
}
