<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** The ground that a mix goes on. */
final readonly class OverGround
{
    /**
     * @param Quantity|null $ground that ceilings count on; null where nobody knows it
     * @param Quantity|null $spray mix per area; null where work is not dosed by it
     */
    public function __construct(public ?Quantity $ground, public ?Quantity $spray = null) {}
}
