<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Verdict\Finding;

/** People see what they do from sunrise to sunset (handbook 4). */
final readonly class Daylight implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Daylight;
    }

    public function evaluate(WorkHour $hour): Finding
    {
        return $hour->sun->isUp($hour->middle())
            ? Finding::fits('hour.light', 'handbook-4')
            : Finding::notNow('hour.dark', 'handbook-4', [], null, 'change.daylight');
    }
}
