<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Exception\Unmixable;

/** product_2 = product_1 x active_1 / active_2 (handbook 3, sum 4). By % w/w it is nominal: density is not known. */
final readonly class EqualActive
{
    private function __construct(public Quantity $percent, public bool $nominal) {}

    /**
     * @param Quantity $first strength of the product in use, @param Quantity $second of the one to match it
     *
     * @throws Unmixable when the two are on different bases, the second is empty, or would need more than 100 %
     */
    public static function of(Strength $used, Quantity $first, Quantity $second): self
    {
        if ($first->dimension() !== $second->dimension()) {
            throw Unmixable::differentBasis();
        }
        if ($second->isZero()) {
            throw Unmixable::differentBasis();
        }
        $percent = Quantity::of(
            $used->share->multipliedBy($first->per($second))->multipliedBy(100),
            Unit::PercentProduct,
        );
        if ($percent->compareTo(Quantity::of(100, Unit::PercentProduct)) > 0) {
            throw Unmixable::tooWeakToMatch($percent);
        }

        return new self($percent, $first->dimension() === Dimension::MassShare);
    }
}
