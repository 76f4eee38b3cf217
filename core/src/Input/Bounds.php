<?php

declare(strict_types=1);

namespace Thicket\Input;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What an amount can be at all, the one table: by the name of its field where that says more, else by what is
 * measured. Wide enough for any work that people do, so what lies outside is a slip of the finger or a unit mixed up.
 * Both ends are allowed. Limits of labels, law and sums are others and stand elsewhere.
 */
final class Bounds
{
    /** By field: least, most, unit. */
    private const FIELDS = [
        // weather in which people work
        'temperature' => ['-40', '55', Unit::Celsius],
        'wind' => ['0', '40', Unit::MetrePerSecond],
        // what a label can say of it
        'hottest' => ['-20', '60', Unit::Celsius],
        'coldest' => ['-40', '40', Unit::Celsius],
        'windMost' => ['0', '40', Unit::MetrePerSecond],
        // up to the highest work
        'elevation' => ['0', '6000', Unit::Metre],
        // stems and what stands on them
        'diameter' => ['0', '10', Unit::Metre],
        'girth' => ['0', '32', Unit::Metre],
        'from' => ['0', '10', Unit::Metre],
        'below' => ['0', '10', Unit::Metre],
        'height' => ['0', '120', Unit::Metre],
        'crownRadius' => ['0', '60', Unit::Metre],
        'stumpHeight' => ['0', '3', Unit::Metre],
        'leastDiameter' => ['0', '10', Unit::Metre],
        'mostDiameter' => ['0', '10', Unit::Metre],
        // tools
        'tank' => ['0', '20000', Unit::Litre],
        'holds' => ['0', '1000', Unit::Litre],
        'jaw' => ['0', '1', Unit::Metre],
        'blade' => ['0', '3', Unit::Metre],
        'tare' => ['0', '2000', Unit::Kilogram],
        'pace' => ['0.2', '3', Unit::Metre],
        'spacing' => ['0', '10', Unit::Metre],
        'speed' => ['0', '15', Unit::MetrePerSecond],
        'caught' => ['0', '2000', Unit::Litre],
        'time' => ['0', '24', Unit::Hour],
        // watering in and mulch
        'depth' => ['0', '1', Unit::Metre],
        'flow' => ['0', '5000', Unit::LitrePerMinute],
        'run' => ['0', '48', Unit::Hour],
        // what a litre of any mix or product weighs
        'mixWeighs' => ['500', '3000', Unit::GramPerLitre],
        'usedWeighs' => ['500', '3000', Unit::GramPerLitre],
        'otherWeighs' => ['500', '3000', Unit::GramPerLitre],
        'exclusionDistance' => ['0', '2', Unit::Kilometre],
        'waterBuffer' => ['0', '5', Unit::Kilometre],
    ];

    /** Else by what is measured: least, most, unit. */
    private const DIMENSIONS = [
        'length' => ['0', '100', Unit::Kilometre],
        'area' => ['0', '1000000', Unit::Hectare],
        'volume' => ['0', '10000000', Unit::Litre],
        'mass' => ['0', '10000', Unit::Tonne],
        'temperature' => ['-60', '70', Unit::Celsius],
        'speed' => ['0', '60', Unit::MetrePerSecond],
        'duration' => ['0', '36600', Unit::Day],
        'pressure' => ['0', '1000', Unit::Bar],
        'volume-per-time' => ['0', '100000', Unit::LitrePerMinute],
        'volume-per-area' => ['0', '1000', Unit::LitrePerSquareMetre],
        'mass-per-area' => ['0', '100000', Unit::KilogramPerHectare],
        'equivalent-per-area' => ['0', '100000', Unit::KilogramEquivalentPerHectare],
        'ingredient-per-area' => ['0', '100000', Unit::KilogramIngredientPerHectare],
        'mass-per-volume' => ['0', '10000', Unit::GramPerLitre],
        'equivalent-per-volume' => ['0', '10000', Unit::GramEquivalentPerLitre],
        'ingredient-per-volume' => ['0', '10000', Unit::GramIngredientPerLitre],
        'count' => ['0', '1000000000', Unit::One],
    ];

    /**
     * @return array{Quantity, Quantity}|null least and most; null where the amount is a share of something, which has
     *     its own rules
     */
    public static function of(string $field, Dimension $dimension): ?array
    {
        $bound = self::FIELDS[$field] ?? null;
        if ($bound === null || $bound[2]->dimension() !== $dimension) {
            $bound = self::DIMENSIONS[$dimension->value] ?? null;
        }

        return $bound === null ? null : [Quantity::of($bound[0], $bound[2]), Quantity::of($bound[1], $bound[2])];
    }

    /** @return list<string> fields with bounds of their own */
    public static function fields(): array
    {
        return array_keys(self::FIELDS);
    }
}
