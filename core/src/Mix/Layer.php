<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * An even layer over an area, of mulch or of water: its volume (handbook 3, small sums: 1000 sq ft at 1/4 in are 155.8
 * gal).
 */
final readonly class Layer
{
    /** How much stands on each area: a millimetre deep is a litre a square metre. */
    public static function perArea(Quantity $depth): Quantity
    {
        return Quantity::of($depth->in(Unit::Millimetre), Unit::LitrePerSquareMetre);
    }

    /** How deep that is, in millimetres. */
    public static function depth(Quantity $perArea): Quantity
    {
        return Quantity::of($perArea->in(Unit::LitrePerSquareMetre), Unit::Millimetre);
    }

    public static function volume(Quantity $area, Quantity $depth): Quantity
    {
        return Quantity::of(
            $area->in(Unit::SquareMetre)->multipliedBy($depth->in(Unit::Metre))->multipliedBy(1000),
            Unit::Litre,
        );
    }
}
