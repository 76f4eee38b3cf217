<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\AreaRate;

/** Product by treated area, and its loads (handbook 3, sum 5). */
final readonly class AreaRateFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $rate =
            $in->has('rate') && $this->looksDry($in)
                ? $in->quantity('rate', Dimension::MassPerArea)
                : $in->quantity('rate', Dimension::VolumePerArea);
        $area = $in->positive('area', Dimension::Area);
        $spray = $in->positiveOrNull('sprayVolume', Dimension::VolumePerArea);
        $tank = $in->positiveOrNull('tank', Dimension::Volume);
        $passes = $in->int('passes', 1, 20, 1);
        if ($rate === null || $area === null || $passes === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        if (
            $spray !== null &&
            $tank !== null &&
            UnitsMixedUp::tooMany($in, 'tank', AreaRate::over($spray, $area)->times($passes)->per($tank))
        ) {
            return FormulaAnswer::none();
        }
        $result = AreaRate::of($rate, $area, $spray, $tank, $passes);
        $values = ['product' => $result->product, 'per-pass' => $result->product->dividedBy($passes)];
        if ($result->spray !== null) {
            $values['spray'] = $result->spray;
        }
        if ($result->loads !== null && $result->productPerLoad !== null) {
            $values = [...$values, 'product-per-load' => $result->productPerLoad, ...LoadFigures::of($result->loads)];
            $values['fills'] = array_map(
                static fn(array $fill): array => [
                    'times' => $fill['times'],
                    'finished' => $fill['finished'],
                    'product' => $result->productPerLoad->times($fill['finished']->per($result->loads->tank)),
                ],
                $result->loads->fills(),
            );
        }

        return new FormulaAnswer($values, $tank !== null && $spray === null ? ['sprayVolume'] : []);
    }

    private function looksDry(Fields $in): bool
    {
        $value = $in->raw('rate');
        $text = is_array($value)
            ? (is_string($value['typed'] ?? null)
                ? $value['typed']
                : (is_string($value['unit'] ?? null)
                    ? $value['unit']
                    : ''))
            : (is_string($value)
                ? $value
                : '');

        return preg_match('/dry|oz_wt|\b(g|kg|lb)\b/i', $text) === 1;
    }
}
