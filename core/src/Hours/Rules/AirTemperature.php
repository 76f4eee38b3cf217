<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Timing\StartLimit;
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
        $limits = array_filter(
            $hour->limits->limits,
            static fn(StartLimit $l): bool => $l->fact === FactName::AirTemperature,
        );
        $fits = null;
        foreach ($limits as $limit) {
            $air = $limit->least && $this->isWinterWork($hour) ? $hour->coldest(self::MILD_HOURS) : $hour->weather->air;
            if ($air === null) {
                return Finding::unknown('forecast', $limit->source, true);
            }
            $values = ['reading' => $air, 'limit' => $limit->value];
            $what = $limit->least ? 'cold' : 'heat';
            if (!$limit->allows($air)) {
                return Finding::notNow("weather.{$what}", $limit->source, $values, null, "change.{$what}");
            }
            $fits = Finding::fits("weather.{$what}-fits", $limit->source, $values, $hour->certainty());
        }

        return $fits;
    }

    private function isWinterWork(WorkHour $hour): bool
    {
        return $hour->option->isLeafSpray() &&
            in_array($hour->situation->target?->treatmentClass(), ['biennial', 'evergreen-vine'], true);
    }
}
