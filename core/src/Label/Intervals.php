<?php

declare(strict_types=1);

namespace Thicket\Label;

/** Days that the label counts; one that is null was not given, which is not the same as none (rulings J40). */
final readonly class Intervals
{
    /**
     * @param int|null $leadDays a preventer needs before it works (handbook 8 preventer-lead)
     * @param int|null $lastingDays that it works
     * @param int|null $grazingDays before stock may graze
     * @param int|null $hayDays before hay may be cut
     */
    public function __construct(
        public ?int $leadDays = null,
        public ?int $lastingDays = null,
        public ?int $grazingDays = null,
        public ?int $hayDays = null,
    ) {}
}
