<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Timing\StartLimits;
use Thicket\Verdict\Finding;

/** Air between the stricter of card and J3; on rosettes and evergreen vines for six hours after, too (rulings J12). */
final readonly class AirTemperature implements HourRule
{
    private const MILD_HOURS = 6;

    public function condition(): Condition
    {
        return Condition::Temperature;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $fits = null;
        $isWinterWork = StartLimits::isWinterWork($hour->option, $hour->situation->target);
        foreach (['heat' => false, 'cold' => true] as $what => $least) {
            $limit = $hour->limits->of(FactName::AirTemperature, $least);
            if ($limit === null) {
                continue;
            }
            $air = $hour->airAgainst($limit, $least && $isWinterWork ? self::MILD_HOURS : 0);
            if ($air === null) {
                return Finding::unknown('forecast', $limit->source, true);
            }
            $values = ['reading' => $air, 'limit' => $limit->value];
            if (!$limit->allows($air)) {
                return Finding::notNow("weather.{$what}", $limit->source, $values, null, "change.{$what}");
            }
            $certainty = $hour->certainty(FactName::AirTemperature);
            $fits = Finding::fits("weather.{$what}-fits", $limit->source, $values, $certainty);
        }

        return $fits;
    }
}
