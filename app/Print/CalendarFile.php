<?php

declare(strict_types=1);

namespace App\Print;

use App\Workflow\CalendarEntry;
use Sabre\VObject\Component\VCalendar;

/** Days as an iCalendar file (RFC 5545): whole days, free time, the same UID for the same thing each time. */
final readonly class CalendarFile
{
    /** @param list<CalendarEntry> $entries */
    public static function text(array $entries, string $name, \DateTimeImmutable $now, string $site): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Gallant Thicket//Calendar//EN', 'METHOD' => 'PUBLISH']);
        $calendar->add('X-WR-CALNAME', $name);
        $calendar->add('REFRESH-INTERVAL', 'PT12H', ['VALUE' => 'DURATION']);
        $stamp = $now->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z');
        foreach ($entries as $entry) {
            $event = $calendar->createComponent('VEVENT', [], false);
            $event->add('UID', "{$entry->uid}@gallant-thicket.example");
            $event->add('DTSTAMP', $stamp);
            $event->add('DTSTART', $entry->day->format('Ymd'), ['VALUE' => 'DATE']);
            $event->add('SUMMARY', $entry->title);
            $entry->where === '' || $event->add('LOCATION', $entry->where);
            $event->add('URL', $site . $entry->path);
            $event->add('TRANSP', 'TRANSPARENT');
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
