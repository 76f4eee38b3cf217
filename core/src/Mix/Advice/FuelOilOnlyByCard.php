<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * Fuel oil only by a confirmed card that lists it and where the crew's law does not forbid it; never by water, wells or
 * on saturated ground (rulings J18).
 */
final readonly class FuelOilOnlyByCard implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        if ($plan->carrier !== Carrier::FUEL_OIL) {
            return null;
        }
        $distance = $plan->situation->waterDistance();
        $strips = array_filter(
            array_map(static fn(Option $one): ?Quantity => $one->card?->start->waterBuffer, $plan->products()),
        );
        // where a card names no wider strip, as far as mixing keeps from water
        $near = array_reduce(
            $strips,
            static fn(Quantity $widest, Quantity $one): Quantity => $one->isGreaterThan($widest) ? $one : $widest,
            Quantity::of(Situation::NEAR_WATER, Unit::Metre),
        );

        return match (true) {
            $plan->any(
                static fn(Option $one): bool => $one->card === null ||
                    !$one->card->confirmed ||
                    !in_array(Carrier::FUEL_OIL, $one->card->directions->carriers, true),
            )
                => Advisory::blocks('mix.fuel-oil-not-on-card', 'rulings-J18'),
            !$plan->fuelOilLawful => Advisory::blocks('mix.fuel-oil-law', 'rulings-J18'),
            $plan->situation->word(FactName::SoilMoisture) === 'wet' => Advisory::blocks(
                'mix.fuel-oil-wet-ground',
                'rulings-J18',
            ),
            $distance !== null && $distance->isLessThan($near) => Advisory::blocks(
                'mix.fuel-oil-near-water',
                'rulings-J18',
                ['distance' => $distance, 'limit' => $near],
            ),
            default => null,
        };
    }
}
