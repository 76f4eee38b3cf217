<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;

/** One thing that goes into a load, and how full the tank is then. */
final readonly class LoadStep
{
    /**
     * @param string $what leftover, the carrier, a product's name, an additive's role, or the carrier to the mark
     * @param Quantity|null $amount null for what tops up to the mark
     * @param BigRational $share of the full load, 0 to 1
     */
    public function __construct(
        public string $what,
        public ?Quantity $amount,
        public Quantity $mark,
        public BigRational $share,
    ) {}
}
