<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Assess\Rules\BeesAndFlowers;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;

/**
 * Over open flowers, without hives near, only while no bees fly (rulings J53). They fly by day from about 10 C on, not
 * in rain nor in strong wind (our guess).
 */
final readonly class BeesFly implements HourRule
{
    private const FROM_CELSIUS = 10;
    private const TO_METRES_A_SECOND = '6.7';

    public function condition(): Condition
    {
        return Condition::Bees;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $codes = array_column((new BeesAndFlowers())->evaluate($hour->situation, $hour->option), 'code');
        if (!in_array(BeesAndFlowers::NOT_WHILE_THEY_FLY, $codes, true)) {
            return null;
        }
        [$air, $wind, $rain] = [$hour->weather->air, $hour->weather->wind, $hour->weather->rain];
        $isDay =
            $hour->sun->rise === null ||
            $hour->sun->set === null ||
            ($hour->at()->modify('+1 hour') > $hour->sun->rise && $hour->at() < $hour->sun->set);
        // what nobody tells keeps no bee at home
        $areHome =
            !$isDay ||
            $air?->isLessThan(Quantity::of(self::FROM_CELSIUS, Unit::Celsius)) === true ||
            $wind?->isGreaterThan(Quantity::of(self::TO_METRES_A_SECOND, Unit::MetrePerSecond)) === true ||
            $rain?->isZero() === false;

        return $areHome
            ? Finding::withCare('hour.bees-home', 'rulings-J53')
            : Finding::notNow('hour.bees-fly', 'rulings-J53', [], null, 'change.bloom-over');
    }
}
