<?php

declare(strict_types=1);

namespace Thicket\Situation;

/** When a stand is asked about. */
final readonly class Moment
{
    /**
     * @param \DateTimeImmutable $now in the ground's zone
     * @param \DateTimeImmutable $day the ground's calendar day (midnight UTC, {@see \Thicket\Calendar\Day})
     */
    public function __construct(public \DateTimeImmutable $now, public \DateTimeImmutable $day) {}

    /** The same time of another day. */
    public function onDay(\DateTimeImmutable $day): self
    {
        $shift = $day->getTimestamp() - $this->day->getTimestamp();

        return new self($this->now->setTimestamp($this->now->getTimestamp() + $shift), $day);
    }
}
