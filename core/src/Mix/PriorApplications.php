<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Label\LabelLimit;
use Thicket\Measure\Quantity;

/** What earlier work put of one active on the ground of a job, by the year that a card counts (rulings J7). */
final readonly class PriorApplications
{
    /**
     * @param array<string, array{loads: list<Quantity>, times: int}> $byYear by {@see LabelLimit::YEARS}; loads per
     * area on the heaviest spot, one of each kind; times counts the days of it
     */
    public function __construct(private array $byYear = []) {}

    /** @return list<Quantity> */
    public function loads(string $year): array
    {
        return $this->byYear[$year]['loads'] ?? [];
    }

    public function times(string $year): int
    {
        return $this->byYear[$year]['times'] ?? 0;
    }
}
