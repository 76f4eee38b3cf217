<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Mix\Exception\Unmixable;

/**
 * What is in the tank is too weak or too strong: how much of what reaches the target, and whether the tank can hold it
 * (handbook 3, sum 3). x product into a mix of V holding p: (p + x) / (V + x) = t, so x = (tV - p) / (1 - t); y
 * carrier: p / (V + y) = t, so y = p / t - V. Where the tank of T has no room for that, it is brought to T: r of the
 * mix (share n) out first, then x = T - V + r in. For product, (V - r) n + x = t T gives r = (V (1 - n) - T (1 - t)) /
 * (1 - n); for carrier, (V - r) n = t T gives r = V - t T / n.
 */
final readonly class TankCorrection
{
    /** @param string $state right, weak or strong */
    private function __construct(
        public string $state,
        public ?Quantity $product,
        public ?Quantity $carrier,
        public Quantity $afterwards,
        public ?bool $fits,
        /** What comes out first, where the tank has no room. */ public ?Quantity $takeOut = null,
    ) {}

    /**
     * @param Quantity $inTank what is in it now, @param Quantity|null $tank what it holds; null leaves open whether it
     *     fits
     *
     * @throws Exception\Unmixable when the target is pure product or none at all
     */
    public static function of(Quantity $inTank, Strength $now, Strength $target, ?Quantity $tank = null): self
    {
        if ($target->share->isZero() || $target->share->isEqualTo(1)) {
            throw Unmixable::noSuchTarget();
        }
        $apart = $target->share->compareTo($now->share);
        $product = $carrier = null;
        if ($apart > 0) {
            $product = $inTank
                ->times($target->share->minus($now->share))
                ->dividedBy(BigRational::one()->minus($target->share));
        } elseif ($apart < 0) {
            $carrier = $inTank->times($now->share->dividedBy($target->share))->minus($inTank);
        }
        $after = $inTank->plus($product ?? ($carrier ?? Quantity::zero($inTank->unit)));

        $state = ['strong', 'right', 'weak'][$apart + 1];
        if ($tank === null || !$after->isGreaterThan($tank)) {
            return new self($state, $product, $carrier, $after, $tank === null ? null : true);
        }
        $full = $tank->to($inTank->unit);
        $out =
            $apart > 0
                ? $inTank
                    ->times(BigRational::one()->minus($now->share))
                    ->minus($full->times(BigRational::one()->minus($target->share)))
                    ->dividedBy(BigRational::one()->minus($now->share))
                : $inTank->minus($full->times($target->share)->dividedBy($now->share));
        $in = $full->minus($inTank)->plus($out);

        return new self($state, $apart > 0 ? $in : null, $apart > 0 ? null : $in, $full, false, $out);
    }
}
