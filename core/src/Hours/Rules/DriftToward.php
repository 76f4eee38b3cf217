<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Assess\Rules\Downwind;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Verdict\Finding;

/** Which way the wind of this hour carries drops, and what lies there (rulings J9, J39, J53). */
final readonly class DriftToward implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Drift;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $worst = null;
        foreach (Downwind::under($hour->weather->windFrom, $hour->situation, $hour->option) as $finding) {
            // a neighbour whom drops could reach, and nobody says whither the wind blows (rulings J53)
            $asked =
                $finding->code === Downwind::ASK_WIND ? Finding::unknown('wind-from', 'rulings-J53', true) : $finding;
            $worst = $worst === null || $asked->outcome->isWorseThan($worst->outcome) ? $asked : $worst;
        }

        return $worst ?? ($hour->option->isLeafSpray() ? Finding::fits('hour.nobody-downwind', 'rulings-J53') : null);
    }
}
