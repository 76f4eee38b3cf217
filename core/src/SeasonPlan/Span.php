<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** Days on which a job is open, both ends included. */
final readonly class Span
{
    /** @param bool $withCare open, but not at its best */
    public function __construct(
        public \DateTimeImmutable $first,
        public \DateTimeImmutable $last,
        public bool $withCare = false,
    ) {}
}
