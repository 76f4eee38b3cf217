<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Measure\Quantity;

/** What keeps people from harm, by the label. */
final readonly class Protection
{
    /** @param Quantity|null $exclusion how far others stay while it is sprayed (rulings J9) */
    public function __construct(
        public string $wearing,
        public string $firstAid,
        public bool $licensedOnly,
        public ?int $reentryHours,
        public ?Quantity $exclusion = null,
    ) {}
}
