<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Survey\Overlap;
use Thicket\Survey\ShapeReader;

/**
 * The heaviest total on any spot of a patch, since a yearly ceiling holds for every spot (rulings J7); with the
 * label's most, what is left of it.
 */
final readonly class OverlapFormula implements Formula
{
    private const MOST_LOADS = 200;

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $patch = ShapeReader::anywhere($in, 'patch');
        $most = self::load($in, 'labelMost');
        $loads = [];
        foreach ($in->objects('loads', self::MOST_LOADS, true) as $item) {
            [$outline, $load] = [ShapeReader::anywhere($item, 'outline'), self::load($item, 'load')];
            $item->has('load') || $item->fault('load', 'Give what was put there, such as 2 qt/ac or 5 L/ha.');
            $item->noOthers();
            if ($load !== null && $loads !== [] && $load->dimension() !== $loads[0]['load']->dimension()) {
                $item->fault('load', 'Measure all loads alike: product, acid equivalent or active ingredient an area.');
            }
            $outline === null || $load === null || ($loads[] = ['outline' => $outline, 'load' => $load]);
        }
        if ($most !== null && $loads !== [] && $most->dimension() !== $loads[0]['load']->dimension()) {
            $in->fault('labelMost', 'Measure it like the loads.');
        }
        if ($patch === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $heaviest = Overlap::heaviest($patch, $loads);
        $left = $most !== null ? $most->minus($heaviest ?? Quantity::zero($most->unit)) : null;

        return new FormulaAnswer(
            ($heaviest === null ? ['reached' => false] : ['reached' => true, 'heaviest' => $heaviest]) +
                ($left === null
                    ? []
                    : [
                        'above-label' => $left->isNegative(),
                        'left' => $left->isNegative() ? Quantity::zero($left->unit) : $left,
                    ]),
        );
    }

    /** Product or active an area. */
    private static function load(Fields $in, string $field): ?Quantity
    {
        $load = $in->readingOrNull($field, null)?->quantity;
        $kinds = [
            Dimension::VolumePerArea,
            Dimension::MassPerArea,
            Dimension::EquivalentPerArea,
            Dimension::IngredientPerArea,
        ];
        if ($load !== null && (!in_array($load->dimension(), $kinds, true) || $load->isNegative())) {
            return $in->fault($field, 'Give an amount an area, such as 2 qt/ac, 5 L/ha or 2 lb ae/ac.');
        }

        return $load;
    }
}
