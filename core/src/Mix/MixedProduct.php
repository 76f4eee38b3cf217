<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Situation\Option;

/** One product of a recipe: what of it goes in, and whether its label allows that here. */
final readonly class MixedProduct
{
    /**
     * More than six: a line of the mixing card.
     *
     * @param string $name of its component in the mix
     * @param Strength|null $strength null for a dry product
     * @param Quantity|null $amount in the whole mix, poured or weighed; null until the mix can be reckoned
     * @param Strength|null $most strongest that the card allows; measuring never rounds above it
     * @param LimitCheck|null $ceiling null without a card
     */
    public function __construct(
        public string $name,
        public Option $option,
        public ?Strength $strength,
        public string $why,
        public ?Quantity $amount,
        public ?Strength $most,
        public ?LimitCheck $ceiling,
    ) {}

    /**
     * The most that measuring for a load may come to: what the label allows of the mix, and no further than the card's
     * ceilings leave room; else the amount itself.
     *
     * @return Quantity|null null where the load holds none of it
     */
    public function mostIn(FinishedMix $load): ?Quantity
    {
        $amount = $load->amountOf($this->name);
        if ($amount === null || $this->most === null || $amount->dimension() !== Dimension::Volume) {
            return $amount;
        }
        $most = $this->most->productIn($load->finished);
        $room = $this->ceiling?->room === null ? $most : $amount->times(BigRational::max(1, $this->ceiling->room));

        return $most->isGreaterThan($room) ? $room : $most;
    }

    /**
     * Product that a part of a planned mix took: by its share of the mix, or, where it has none because it is dry, as
     * much of the whole as the mix that was used.
     *
     * @param Quantity $used of the mix
     * @param Quantity|null $percent of product in the mix
     * @param Quantity|null $whole of the product in the planned mix
     * @param Quantity|null $planned mix
     *
     * @return Quantity|null null where neither is known
     */
    public static function usedIn(Quantity $used, ?Quantity $percent, ?Quantity $whole, ?Quantity $planned): ?Quantity
    {
        return match (true) {
            $percent !== null => Strength::ofQuantity($percent)->productIn($used),
            $whole !== null && $planned !== null && !$planned->isZero() => $whole->times($used->per($planned)),
            default => null,
        };
    }

    /**
     * An active that the product puts on an area, as acid equivalent or active ingredient per area.
     *
     * @param BigRational $share of the whole mix that goes there
     *
     * @return Quantity|null null where the card's strength has no such basis, or the amount is not known
     */
    public function activeOn(string $active, Quantity $area, BigRational $share): ?Quantity
    {
        return $this->option->card === null || $this->amount === null
            ? null
            : LimitCheck::activePerArea($this->option->card, $active, $this->amount->times($share), $area);
    }
}
