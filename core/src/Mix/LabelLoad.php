<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;

/** Product that a job puts on its ground, looked at for one active of its card. */
final readonly class LabelLoad
{
    /**
     * @param Quantity $product in the whole job
     * @param Quantity|null $area treated, or the outline of the stand
     */
    public function __construct(
        public LabelCard $card,
        public string $active,
        public Quantity $product,
        public ?Quantity $area,
    ) {}

    /** @return Quantity|null product per area; null where nobody knows how much ground it goes on */
    public function rate(): ?Quantity
    {
        return $this->area === null || !$this->area->amount->isPositive()
            ? null
            : LimitCheck::productPerArea($this->product, $this->area);
    }
}
