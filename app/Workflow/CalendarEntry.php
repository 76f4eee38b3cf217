<?php

declare(strict_types=1);

namespace App\Workflow;

/** One day that somebody has to know of. */
final readonly class CalendarEntry
{
    public string $uid;

    /**
     * More than six: a line of a calendar.
     *
     * @param string $kind planned, opens, last-day, look-back, patrol, calibrate, licence or away
     * @param string $of what it is of: with the kind the same each time, so that a moved day moves
     * @param string|null $job the planned job that begins that day
     */
    public function __construct(
        public string $kind,
        string $of,
        public \DateTimeInterface $day,
        public string $title,
        public string $where,
        public string $path,
        public ?string $job = null,
    ) {
        $this->uid = "{$kind}-{$of}";
    }
}
