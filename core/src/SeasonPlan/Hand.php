<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** Somebody of the crew with the days on which they can work. */
final readonly class Hand
{
    /**
     * @param array<string, \DateTimeImmutable|null> $clearances by name, with the last day each holds; null for no end
     * @param array<string, int> $minutes by day (Y-m-d): as long as they work that day, ways included
     */
    public function __construct(public string $id, public array $clearances, public array $minutes) {}

    public function isClearedFor(string $clearance, \DateTimeImmutable $day): bool
    {
        if (!array_key_exists($clearance, $this->clearances)) {
            return false;
        }
        $until = $this->clearances[$clearance];

        return $until === null || $until >= $day;
    }

    /** @param list<string> $clearances */
    public function has(array $clearances, \DateTimeImmutable $day): bool
    {
        foreach ($clearances as $clearance) {
            if (!$this->isClearedFor($clearance, $day)) {
                return false;
            }
        }

        return true;
    }
}
