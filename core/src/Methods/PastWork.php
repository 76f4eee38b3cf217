<?php

declare(strict_types=1);

namespace Thicket\Methods;

/** One treatment this stand has had. */
final readonly class PastWork
{
    public function __construct(
        public \DateTimeImmutable $on,
        public string $method,
        public ?string $active = null,
        /** Mode-of-action group; null without a product. */
        public ?string $group = null,
        /** Judged on or after its day, and most plants lived. */
        public bool $failed = false,
    ) {
    }
}
