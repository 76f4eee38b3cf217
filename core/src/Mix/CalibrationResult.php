<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** What a sprayer was found to give, by one way of handbook 3, and how its nozzles stand. */
final readonly class CalibrationResult
{
    /**
     * @param string $way one of {@see Calibration::WAYS}
     * @param Quantity|null $gives null only while faults are noted
     * @param list<Quantity> $flows of each nozzle, in order; empty where nobody caught them
     */
    public function __construct(
        public string $way,
        public ?Quantity $gives,
        public array $flows,
        public ?NozzleCheck $check,
    ) {}

    /** @return int|null nozzles that are worn; null where nobody caught them */
    public function worn(): ?int
    {
        return $this->check === null ? null : count(array_filter(array_column($this->check->nozzles, 'worn')));
    }
}
