<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** A product that is weighed: mixed into water, or strewn as it is (rulings J63). */
final readonly class DryProduct
{
    /** @param Quantity|null $amount for the whole need; null where it cannot be told */
    public function __construct(public ?Quantity $amount, public bool $spread) {}
}
