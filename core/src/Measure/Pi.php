<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigRational;

/** The one pi of the core (rulings B5): 30 digits, as a rational. Results of it are rounded once, at the end. */
final class Pi
{
    private const DIGITS = '3.14159265358979323846264338327';

    public static function value(): BigRational
    {
        return BigRational::of(self::DIGITS);
    }
}
