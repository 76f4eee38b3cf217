<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;

/**
 * Still air under a clear sky from 1.5 h before sunset to 2 h after sunrise: a spray hangs and wanders (rulings J3).
 */
final readonly class Inversion implements HourRule
{
    private const STILL_METRES_A_SECOND = '1.5';
    private const CLEAR_PERCENT = 40;
    private const BEFORE_SUNSET_MINUTES = 90;
    private const AFTER_SUNRISE_MINUTES = 120;

    public function condition(): Condition
    {
        return Condition::Inversion;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if (!$hour->isSpray() || !$this->isLate($hour)) {
            return null;
        }
        [$wind, $cloud] = [$hour->weather->wind, $hour->weather->cloud];
        $still = Quantity::of(self::STILL_METRES_A_SECOND, Unit::MetrePerSecond);
        if ($wind !== null && !$wind->isLessThan($still)) {
            return Finding::fits('hour.air-moves', 'rulings-J3', ['reading' => $wind], $hour->certainty());
        }
        if ($cloud !== null && $cloud >= self::CLEAR_PERCENT) {
            return Finding::fits(
                'hour.cloud-holds',
                'rulings-J3',
                ['cloud' => (int) round($cloud)],
                $hour->certainty(),
            );
        }

        return $wind === null || $cloud === null
            ? Finding::unknown('forecast', 'rulings-J3', true)
            : Finding::notNow(
                'hour.inversion',
                'rulings-J3',
                ['reading' => $wind, 'cloud' => (int) round($cloud)],
                null,
                'change.air-moves',
            );
    }

    /** Whether any part of the hour lies between late afternoon and two hours after sunrise. */
    private function isLate(WorkHour $hour): bool
    {
        [$rise, $set] = [$hour->sun->rise, $hour->sun->set];
        if ($rise === null || $set === null) {
            return true;
        }

        return $hour->at() < $rise->modify('+' . self::AFTER_SUNRISE_MINUTES . ' minutes') ||
            $hour->at()->modify('+1 hour') > $set->modify('-' . self::BEFORE_SUNSET_MINUTES . ' minutes');
    }
}
