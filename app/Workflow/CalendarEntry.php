<?php

declare(strict_types=1);

namespace App\Workflow;

/** One day that somebody has to know of. */
final readonly class CalendarEntry
{
    /** @param string $uid the same each time for the same thing, so that a moved day moves */
    public function __construct(
        public string $uid,
        public \DateTimeInterface $day,
        public string $title,
        public string $where,
        public string $path,
    ) {}
}
