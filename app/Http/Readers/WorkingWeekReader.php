<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;

/** How somebody works: days of the week, how long, and whether as a volunteer. */
final readonly class WorkingWeekReader
{
    private const DAYS = ['1', '2', '3', '4', '5', '6', '7'];
    private const DAY_MINUTES = 1440;

    /** @return array{weekdays: list<int>, minutes_a_day: int|null, volunteer: bool} */
    public function read(Fields $in): array
    {
        $days = array_map(intval(...), array_values(array_unique($in->strings('weekdays', self::DAYS, 7))));
        sort($days);
        $minutes = $in
            ->quantity('timeADay', Dimension::Duration)
            ?->in(Unit::Minute)
            ->toScale(0, RoundingMode::DOWN)
            ->toInt();
        if ($minutes !== null && ($minutes < 0 || $minutes > self::DAY_MINUTES)) {
            $in->fault('timeADay', 'Give the time of a day, such as 6 h: from none to 24 h.');
        }

        return ['weekdays' => $days, 'minutes_a_day' => $minutes, 'volunteer' => $in->bool('volunteer', false)];
    }
}
