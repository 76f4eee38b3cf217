<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\StartLimits;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Wind and air temperature as measured on the spot, against the stricter of card and typical limits (rulings J3).
 * Without a reading this rule is silent: the board plans, the start gate asks on the day.
 */
final readonly class DayWeather implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $findings = [];
        foreach (StartLimits::for($option, $situation->target)->limits as $limit) {
            $reading = $situation->quantity($limit->fact);
            if ($reading === null) {
                continue;
            }
            $values = ['reading' => $reading, 'limit' => $limit->value];
            $what = $limit->fact === FactName::WindSpeed ? 'wind' : ($limit->least ? 'cold' : 'heat');
            $findings[] = $limit->allows($reading)
                ? Finding::fits("weather.{$what}-fits", $limit->source, $values, Certainty::Measured)
                : Finding::notNow(
                    "weather.{$what}",
                    $limit->source,
                    $values,
                    null,
                    "change.{$what}",
                    Certainty::Measured,
                );
        }
        $wind = $situation->quantity(FactName::WindSpeed);
        if ($option->isLeafSpray() && $wind !== null && $wind->isLessThan(StartLimits::calm())) {
            $findings[] = Finding::withCare(
                'weather.calm',
                'rulings-J3',
                ['reading' => $wind, 'limit' => StartLimits::calm()],
                'change.light-wind',
                Certainty::Measured,
            );
        }

        return $findings;
    }
}
