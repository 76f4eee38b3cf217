<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** A job on its days. */
final readonly class Placement
{
    /**
     * @param list<Part> $parts in order, at least one
     * @param int $value thousandths of points that it brings on these days
     */
    public function __construct(public string $job, public array $parts, public int $value = 0) {}

    public function first(): \DateTimeImmutable
    {
        return $this->parts[0]->day;
    }

    public function last(): \DateTimeImmutable
    {
        return $this->parts[count($this->parts) - 1]->day;
    }

    public function lead(): string
    {
        return $this->parts[0]->people[0];
    }
}
