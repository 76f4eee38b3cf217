<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;

/** Gusts carry fine drops: at most 6.7 m/s (15 mph) over a leaf spray (rulings J3). */
final readonly class Gusts implements HourRule
{
    private const MOST_METRES_A_SECOND = '6.7';

    public function condition(): Condition
    {
        return Condition::Gust;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if (!$hour->option->isLeafSpray()) {
            return null;
        }
        $gust = $hour->weather->gust;
        $limit = Quantity::of(self::MOST_METRES_A_SECOND, Unit::MetrePerSecond);
        if ($gust === null) {
            return Finding::unknown('forecast', 'rulings-J3', true);
        }
        $values = ['reading' => $gust, 'limit' => $limit];

        return $gust->isGreaterThan($limit)
            ? Finding::notNow('hour.gust', 'rulings-J3', $values, null, 'change.wind')
            : Finding::fits('hour.gust-fits', 'rulings-J3', $values, $hour->certainty());
    }
}
