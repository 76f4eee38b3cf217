<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;
use Thicket\Weather\WeatherHour;

/** No rain within the rainfast hours of the card and one more; a silent card cannot be told (rulings J3). */
final readonly class RainAfter implements HourRule
{
    private const MARGIN_HOURS = 1;
    /** What counts as rain expected (ours): so much in an hour, or so likely. */
    private const RAIN_MILLIMETRES = '0.2';
    private const LIKELY_PERCENT = 50;

    public function condition(): Condition
    {
        return Condition::RainAfter;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if (!$hour->option->method->usesProduct() || !$hour->option->goesOn('leaf', 'bark', 'stump')) {
            return null;
        }
        $fast = $hour->rainfastHours();
        if ($fast === null) {
            return Finding::unknown('rainfast', 'rulings-J3', true);
        }
        $hours = $fast + self::MARGIN_HOURS;
        // the hour of the work, and the hours after its end
        $told = $hour->forecast->following($hour->at(), $hours + 1);
        $known = array_filter($told, static fn(WeatherHour $h): bool => $h->rain !== null || $h->rainChance !== null);
        foreach ($known as $one) {
            if ($this->isExpected($one)) {
                $values = ['hours' => $fast, 'at' => $one->at->setTimezone($hour->place->zone)->format('H:i')];

                return Finding::notNow('hour.rain-soon', 'label-card', $values, null, 'change.dry-hour');
            }
        }

        return count($known) < $hours + 1
            ? Finding::unknown('forecast', 'rulings-J3', true)
            : Finding::fits('hour.no-rain', 'label-card', ['hours' => $fast], $hour->certainty());
    }

    private function isExpected(WeatherHour $hour): bool
    {
        return $hour->rain?->isLessThan(Quantity::of(self::RAIN_MILLIMETRES, Unit::Millimetre)) === false ||
            ($hour->rainChance ?? 0) >= self::LIKELY_PERCENT;
    }
}
