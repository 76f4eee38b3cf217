<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Measure\Quantity;

/** What the label asks of the day and of water nearby; null where it is silent. */
final readonly class StartConditions
{
    /** @param int|null $rainfastHours without rain afterwards */
    public function __construct(
        public ?Quantity $coldest,
        public ?Quantity $hottest,
        public ?Quantity $windMost,
        public ?int $rainfastHours,
        public bool $aquaticAllowed,
        public ?Quantity $waterBuffer,
    ) {}
}
