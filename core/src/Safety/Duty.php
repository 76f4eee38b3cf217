<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Measure\Quantity;

/** One thing to settle with others before a job: its kind, and what makes it due. */
final readonly class Duty
{
    public function __construct(
        public DutyKind $kind,
        /** Name of what is kept that it is about; null where it is about the whole job. */
        public ?string $keeper = null,
        public ?Quantity $distance = null,
    ) {}
}
