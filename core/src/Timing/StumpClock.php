<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Cut-to-treat clock for water-borne stump mixes (handbook 4, school stump-delay, rulings J21). The limit itself is in
 * time.
 */
final class StumpClock
{
    private const RECUT_SECONDS = 1800;

    /** From here on the stump is cut again, in every school. */
    public static function cutAgainFrom(): Quantity
    {
        return Quantity::of(self::RECUT_SECONDS, Unit::Second);
    }

    /** @return string 'in-time', 'late' or 'cut-again' */
    public static function state(\DateTimeImmutable $cut, \DateTimeImmutable $treated, Quantity $limit): string
    {
        $seconds = $treated->getTimestamp() - $cut->getTimestamp();

        return match (true) {
            $limit->in(Unit::Second)->isGreaterThanOrEqualTo($seconds) => 'in-time',
            $seconds < self::RECUT_SECONDS => 'late',
            default => 'cut-again',
        };
    }
}
