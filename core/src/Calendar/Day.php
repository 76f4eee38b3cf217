<?php

declare(strict_types=1);

namespace Thicket\Calendar;

use Thicket\Calendar\Exception\UnreadableDate;

/** Calendar days, held as midnight UTC so that sums of days never meet a clock change. */
final class Day
{
    private const SECONDS = 86_400;

    public static function of(int $year, int $month, int $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable(sprintf('%04d-%02d-%02dT00:00:00+00:00', $year, $month, $day));
    }

    /**
     * @param string $text ISO date, YYYY-MM-DD
     *
     * @throws UnreadableDate when it is none, or lies outside 1900-2200
     */
    public static function parse(string $text): \DateTimeImmutable
    {
        if (
            preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $found) !== 1 ||
            !checkdate((int) $found[2], (int) $found[3], (int) $found[1]) ||
            $found[1] < 1900 ||
            $found[1] > 2200
        ) {
            throw UnreadableDate::day($text);
        }

        return self::of((int) $found[1], (int) $found[2], (int) $found[3]);
    }

    /** Whole days from one day to another, negative when the second is earlier. */
    public static function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return intdiv($to->getTimestamp() - $from->getTimestamp(), self::SECONDS);
    }

    public static function year(\DateTimeImmutable $day): int
    {
        return (int) $day->format('Y');
    }

    /** Calendar months later; the day is held to the last of the month reached (31 August + 6 = 28 or 29 February). */
    public static function plusMonths(\DateTimeImmutable $day, int $months): \DateTimeImmutable
    {
        $month = (int) $day->format('n') - 1 + $months;
        $year = self::year($day) + intdiv($month - ((($month % 12) + 12) % 12), 12);
        $month = ((($month % 12) + 12) % 12) + 1;
        $last = (int) self::of($year, $month, 1)->format('t');

        return self::of($year, $month, min((int) $day->format('j'), $last));
    }
}
