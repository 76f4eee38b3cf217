<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** One day of a job: who goes, and how long each of them works; they stay together. */
final readonly class Part
{
    /**
     * @param list<string> $people the one who leads first
     * @param int $minutes that each of them works
     */
    public function __construct(public \DateTimeImmutable $day, public array $people, public int $minutes) {}

    /** Minutes of one person's work. */
    public function work(): int
    {
        return $this->minutes * count($this->people);
    }
}
