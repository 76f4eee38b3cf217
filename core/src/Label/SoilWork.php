<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Measure\Quantity;

/** What is done to the soil once the product lies on it; null where the label says nothing. */
final readonly class SoilWork
{
    /**
     * @param Quantity|null $incorporation how deep it is to be worked in
     * @param Quantity|null $waterInDepth water that carries it into the ground, as depth of rain
     * @param int|null $waterInHours latest
     * @param int|null $waterInAfterMinutes earliest
     */
    public function __construct(
        public ?Quantity $incorporation = null,
        public ?Quantity $waterInDepth = null,
        public ?int $waterInHours = null,
        public ?int $waterInAfterMinutes = null,
    ) {}

    /** Whether the label wants water over it after it is put on. */
    public function isWateredIn(): bool
    {
        return $this->waterInDepth !== null || $this->waterInHours !== null || $this->waterInAfterMinutes !== null;
    }
}
