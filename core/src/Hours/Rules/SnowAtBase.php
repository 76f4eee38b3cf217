<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Verdict\Finding;

/** A band of bark reaches the ground: none while snow lies there (handbook 4). */
final readonly class SnowAtBase implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Snow;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if (!$hour->option->goesOn('bark')) {
            return null;
        }
        $snow = $hour->weather->snow;

        return match (true) {
            $snow === null => Finding::unknown('snow-at-base', 'handbook-4', false),
            $snow->isZero() => Finding::fits('hour.no-snow', 'handbook-4', [], $hour->certainty()),
            default => Finding::notNow(
                'bark.snow-at-base',
                'handbook-4',
                ['snow' => $snow],
                null,
                'change.bare-ground',
            ),
        };
    }
}
