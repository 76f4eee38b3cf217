<?php

declare(strict_types=1);

namespace App\Support;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Reader;
use Thicket\Calendar\Day;

/**
 * Days on which somebody's own calendar (RFC 5545) leaves no room for work: whole days, and days of which three hours
 * or more between six and six are taken. What is cancelled or marked as free time is not; what it is about is not read.
 */
final readonly class BusyCalendar
{
    public const MOST_BYTES = 1_000_000;
    private const MOST_EVENTS = 5000;
    private const BUSY_SECONDS = 3 * 3600;
    private const BEGINS = 6;
    private const ENDS = 18;

    /**
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}>|string spans of days in order, within these, or what
     *     is wrong with the file
     */
    public static function read(
        string $text,
        \DateTimeZone $zone,
        \DateTimeImmutable $first,
        \DateTimeImmutable $last,
    ): array|string {
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
            if (!($calendar instanceof VCalendar)) {
                return 'This is no calendar file (.ics).';
            }
            if (count($calendar->select('VEVENT')) > self::MOST_EVENTS) {
                return 'This calendar holds more than ' . self::MOST_EVENTS . ' events; save a shorter time.';
            }
            $calendar = $calendar->expand(
                new \DateTimeImmutable($first->format('Y-m-d') . ' 00:00', $zone),
                new \DateTimeImmutable($last->format('Y-m-d') . ' 24:00', $zone),
                $zone,
            );
        } catch (\Sabre\VObject\ParseException) {
            return 'This is no calendar file (.ics).';
        } catch (\Sabre\VObject\InvalidDataException | \Sabre\VObject\Recur\MaxInstancesExceededException) {
            return 'An event of this calendar repeats in a way that cannot be read.';
        }
        $taken = [];
        foreach ($calendar->select('VEVENT') as $event) {
            if ($event instanceof VEvent && self::isBusy($event)) {
                self::take($event, $zone, $taken);
            }
        }
        $days = array_keys(array_filter($taken, static fn(int $seconds): bool => $seconds >= self::BUSY_SECONDS));
        sort($days);

        return self::spans($days, $first, $last);
    }

    private static function isBusy(VEvent $event): bool
    {
        return self::word($event, 'TRANSP') !== 'TRANSPARENT' && self::word($event, 'STATUS') !== 'CANCELLED';
    }

    private static function word(VEvent $event, string $name): string
    {
        $property = $event->select($name)[0] ?? null;

        return $property instanceof \Sabre\VObject\Property ? strtoupper((string) $property->getValue()) : '';
    }

    /** @param array<string, int> $taken seconds of work taken, by day */
    private static function take(VEvent $event, \DateTimeZone $zone, array &$taken): void
    {
        $start = $event->select('DTSTART')[0] ?? null;
        if (!($start instanceof DateTime)) {
            return;
        }
        $whole = !$start->hasTime();
        $from = $start->getDateTime($zone)->setTimezone($zone);
        $end = $event->select('DTEND')[0] ?? null;
        $until = $end instanceof DateTime ? $end->getDateTime($zone)->setTimezone($zone) : null;
        $length = $event->select('DURATION')[0] ?? null;
        if ($until === null && $length instanceof Duration) {
            $until = $from->add($length->getDateInterval());
        }
        $until ??= $whole ? $from->modify('+1 day') : $from;
        for ($day = $from->setTime(0, 0); $day < $until; $day = $day->modify('+1 day')) {
            $seconds = $whole
                ? self::BUSY_SECONDS
                : min($until, $day->setTime(self::ENDS, 0))->getTimestamp() -
                    max($from, $day->setTime(self::BEGINS, 0))->getTimestamp();
            $key = $day->format('Y-m-d');
            $taken[$key] = ($taken[$key] ?? 0) + max(0, $seconds);
        }
    }

    /**
     * @param list<string> $days in order
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}>
     */
    private static function spans(array $days, \DateTimeImmutable $first, \DateTimeImmutable $last): array
    {
        $spans = [];
        foreach ($days as $text) {
            $day = Day::parse($text);
            if ($day < $first || $day > $last) {
                continue;
            }
            $before = array_pop($spans);
            $joins = $before !== null && $before[1]->modify('+1 day') == $day;
            $before === null || $joins || ($spans[] = $before);
            $spans[] = [$joins ? $before[0] : $day, $day];
        }

        return $spans;
    }
}
