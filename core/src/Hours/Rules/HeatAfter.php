<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Situation\Option;
use Thicket\Timing\StartLimit;
use Thicket\Verdict\Finding;

/** Vapour of volatile forms moves after the work: the warmest of this hour and the next 48 counts (rulings J3). */
final readonly class HeatAfter implements HourRule
{
    private const HOURS_AFTER = 48;

    public function condition(): Condition
    {
        return Condition::HeatAfter;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $isVolatile = array_filter(
            $hour->tank,
            static fn(Option $one): bool => $one->anyActive(static fn(Active $a): bool => $a->isVolatile()),
        );
        $limit =
            array_values(
                array_filter(
                    $hour->limits->limits,
                    static fn(StartLimit $l): bool => $l->fact === FactName::AirTemperature && !$l->least,
                ),
            )[0] ?? null;
        if ($isVolatile === [] || $limit === null) {
            return null;
        }
        $warmest = $hour->warmest(self::HOURS_AFTER);
        $values = ['reading' => $warmest ?? $limit->value, 'limit' => $limit->value];

        return match (true) {
            $warmest === null => Finding::unknown('forecast', $limit->source, true),
            !$limit->allows($warmest) => Finding::notNow(
                'hour.heat-after',
                $limit->source,
                $values,
                null,
                'change.heat',
            ),
            default => Finding::fits('hour.heat-after-fits', $limit->source, $values, $hour->certainty()),
        };
    }
}
