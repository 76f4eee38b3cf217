<?php

declare(strict_types=1);

namespace Thicket\Situation;

/** One treatment this stand has had. */
final readonly class PastWork
{
    /**
     * Fewer dead than this at the judge date is a failure (our guess; handbook 7 says only not to repeat a failing
     * way).
     */
    private const FAILED_BELOW_PERCENT = 50;

    public function __construct(
        public \DateTimeImmutable $on,
        public string $method,
        public ?string $active = null,
        /** Mode-of-action group; null without a product. */
        public ?string $group = null,
        /** Judged on or after its day, and most plants lived. */
        public bool $failed = false,
    ) {}

    /** The same work once somebody counted on or after the judge date. */
    public function judged(int $counted, int $dead): self
    {
        return new self(
            $this->on,
            $this->method,
            $this->active,
            $this->group,
            100 * $dead < self::FAILED_BELOW_PERCENT * $counted,
        );
    }
}
