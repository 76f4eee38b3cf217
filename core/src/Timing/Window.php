<?php

declare(strict_types=1);

namespace Thicket\Timing;

/** A stretch of days, first and last both included. */
final readonly class Window
{
    public function __construct(
        public \DateTimeImmutable $first,
        public \DateTimeImmutable $last,
        public WindowGrade $grade,
        /** Why this stretch is graded so: a reason code of the message files. */
        public string $reason,
        public string $source,
    ) {
    }

    public function holds(\DateTimeImmutable $day): bool
    {
        return $day >= $this->first && $day <= $this->last;
    }
}
