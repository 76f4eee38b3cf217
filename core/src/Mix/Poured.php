<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** How much is poured together, in what, and in how many loads. */
final readonly class Poured
{
    /**
     * @param Quantity|null $need finished mix for the job; null where it cannot be told
     * @param string $carrier one of {@see \Thicket\Catalogue\Carrier::ALL}
     * @param TankPlan|null $plan null without a sprayer
     */
    public function __construct(
        public ?Quantity $need,
        public string $carrier,
        public ?FinishedMix $mix = null,
        public ?TankPlan $plan = null,
    ) {}

    public function inLoads(?TankPlan $plan): self
    {
        return new self($this->need, $this->carrier, $this->mix, $plan);
    }
}
