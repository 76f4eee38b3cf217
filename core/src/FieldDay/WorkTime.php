<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** How long a job took its people, all together. */
final class WorkTime
{
    private const CLOCK = '/^([01]\d|2[0-3]):([0-5]\d)$/D';

    private function __construct() {}

    /**
     * Minutes by the clocks of the field day where they were kept, else from start to stop for each of them.
     *
     * @param string $start as 09:30, of one day with the stop
     *
     * @return int|null null where nobody worked, or it is not told
     */
    public static function minutes(FieldLog $log, int $people, string $start, string $stop): ?int
    {
        if ($people === 0) {
            return null;
        }
        [$from, $to] = [self::ofDay($start), self::ofDay($stop)];

        return $log->minutesWorked($people) ?? ($from === null || $to === null ? null : $people * ($to - $from));
    }

    private static function ofDay(string $clock): ?int
    {
        return preg_match(self::CLOCK, $clock, $found) === 1 ? 60 * (int) $found[1] + (int) $found[2] : null;
    }
}
