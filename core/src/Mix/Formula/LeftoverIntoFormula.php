<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;

/**
 * Mix of another strength goes into a new one: used is as much of it as room and strength allow; product = finished
 * x strength - used x its own; carrier tops up. 2 L at 1.5 % into 15 L at 2 %: 0.27 L of product and 12.73 L of
 * carrier.
 */
final readonly class LeftoverIntoFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $left = $in->positive('leftover', Dimension::Volume);
        $leftStrength = $in->strength('leftoverStrength');
        $finished = $in->positive('finished', Dimension::Volume);
        $strength = $in->strength('strength');
        $most = $in->strengthOrNull('labelMost');
        if ($strength !== null && ($strength->share->isZero() || $strength->share->isEqualTo(1))) {
            $in->fault('strength', 'Give a strength above nought and below pure product.');
        }
        if ($strength !== null && $most !== null && $strength->share->isGreaterThan($most->share)) {
            $in->fault('strength', 'This is above the most on the label card.');
        }
        if (
            $left === null ||
            $leftStrength === null ||
            $finished === null ||
            $strength === null ||
            $in->faults->any()
        ) {
            return FormulaAnswer::none();
        }
        $room = $finished->to($left->unit);
        $used = $left->isGreaterThan($room) ? $room : $left;
        if ($leftStrength->share->isGreaterThan($strength->share)) {
            $fit = $room->times($strength->share->dividedBy($leftStrength->share));
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        } elseif (!$leftStrength->share->isEqualTo($strength->share)) {
            // product takes room too: (finished - used) of it would already be all product
            $fit = $room->times(
                BigRational::one()
                    ->minus($strength->share)
                    ->dividedBy(BigRational::one()->minus($leftStrength->share)),
            );
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        }
        $product = $room->times($strength->share)->minus($used->times($leftStrength->share));

        return new FormulaAnswer([
            'leftover-used' => $used,
            'product' => $product,
            'carrier' => $room->minus($used)->minus($product),
            'leftover-kept' => $left->minus($used),
            'percent' => $strength->percent(),
        ]);
    }
}
