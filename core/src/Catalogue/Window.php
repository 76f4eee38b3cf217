<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** A stretch of days, first and last both included. */
final readonly class Window
{
    /** More than six: a row of windows.yaml as it stands. */
    public function __construct(
        public \DateTimeImmutable $first,
        public \DateTimeImmutable $last,
        public WindowGrade $grade,
        /** Why this stretch is graded so: a reason code of the message files. */
        public string $reason,
        public string $source,
        /** @var list<string> stages which, seen, open it outside its calendar (rulings J43) */
        public array $opensAt = [],
        /** @var list<string> stages which, seen, close it */
        public array $closedBy = [],
        /** Leaves burn and roots live: never named as the opening. */
        public bool $topKill = false,
    ) {}

    /** The same window over other days. */
    public function over(\DateTimeImmutable $first, \DateTimeImmutable $last): self
    {
        return new self(
            $first,
            $last,
            $this->grade,
            $this->reason,
            $this->source,
            $this->opensAt,
            $this->closedBy,
            $this->topKill,
        );
    }

    public function holds(\DateTimeImmutable $day): bool
    {
        return $day >= $this->first && $day <= $this->last;
    }
}
