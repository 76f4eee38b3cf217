<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\BigRational;
use Thicket\Input\Fields;

/** So many of anything that somebody mixed up the units. */
final readonly class UnitsMixedUp
{
    /** Loads, fillings or cuts a stem beyond this (our guess, wide). */
    private const MOST_TIMES = 100_000;

    /** Whether it is so; noted at the field then. */
    public static function tooMany(Fields $in, string $field, BigRational $times): bool
    {
        if (!$times->isGreaterThan(self::MOST_TIMES)) {
            return false;
        }
        $in->fault($field, 'That would be more than ' . number_format(self::MOST_TIMES) . ' times: look at the units.');

        return true;
    }
}
