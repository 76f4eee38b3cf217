<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Timing\StartLimits;
use Thicket\Verdict\Finding;

/** Wind of a leaf spray: up to the stricter of card and J3; a forecast of 10 m is taken unreduced (rulings J3). */
final readonly class WindAtNozzle implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Wind;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $limit = $hour->limits->of(FactName::WindSpeed, false);
        if ($limit === null) {
            return null;
        }
        $wind = $hour->weather->wind;
        if ($wind === null) {
            return Finding::unknown('forecast', $limit->source, true);
        }
        $values = ['reading' => $wind, 'limit' => $limit->value];

        return match (true) {
            !$limit->allows($wind) => Finding::notNow('weather.wind', $limit->source, $values, null, 'change.wind'),
            $wind->isLessThan(StartLimits::calm()) => Finding::withCare(
                'weather.calm',
                'rulings-J3',
                ['reading' => $wind, 'limit' => StartLimits::calm()],
                'change.light-wind',
                $hour->certainty(FactName::WindSpeed),
            ),
            default => Finding::fits(
                'weather.wind-fits',
                $limit->source,
                $values,
                $hour->certainty(FactName::WindSpeed),
            ),
        };
    }
}
