<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** A job begins so many days after the last day of another. */
final readonly class After
{
    /**
     * @param string $job id
     * @param int $least days from its last day to the first of this one
     * @param int|null $most as many at the most; null for no end
     */
    public function __construct(public string $job, public int $least = 1, public ?int $most = null) {}
}
