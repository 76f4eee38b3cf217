<?php

declare(strict_types=1);

namespace Thicket\Timing;

/** What a label says of a preventer's time: how soon it works, how long, how often it may be laid. */
final readonly class PreventerTerms
{
    /**
     * @param int $leadDays before it works
     * @param int $lastingDays it works, from the day it was laid where the lead counts inside, else from the day it
     *     works
     * @param int|null $applications a year by the card; null where it gives none
     * @param int $intervalDays least days between two layings by the card
     */
    public function __construct(
        public int $leadDays,
        public int $lastingDays,
        public bool $leadInside,
        public ?int $applications = null,
        public int $intervalDays = 0,
    ) {}

    /** Days that one laying really works. */
    public function works(): int
    {
        return $this->leadInside ? max(0, $this->lastingDays - $this->leadDays) : $this->lastingDays;
    }
}
