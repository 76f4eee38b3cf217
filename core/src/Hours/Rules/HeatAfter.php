<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
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
        $limit = $hour->limits->of(FactName::AirTemperature, false);
        if ($limit === null || !$hour->option->anyActive(static fn(Active $a): bool => $a->isVolatile())) {
            return null;
        }
        $warmest = $hour->airAgainst($limit, self::HOURS_AFTER);
        if ($warmest === null) {
            return Finding::unknown('forecast', $limit->source, true);
        }
        $values = ['reading' => $warmest, 'limit' => $limit->value];

        return $limit->allows($warmest)
            ? Finding::fits('hour.heat-after-fits', $limit->source, $values, $hour->certainty())
            : Finding::notNow('hour.heat-after', $limit->source, $values, null, 'change.heat');
    }
}
