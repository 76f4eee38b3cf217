<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Situation;

/** At the water's edge surfactant and dye have to be permitted for water too, and oil is out (rulings J15). */
final readonly class AdditivesByWater implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $distance = $plan->situation->waterDistance();
        $near =
            $plan->situation->word(FactName::Setting) === 'water-edge' ||
            ($distance !== null && $distance->isLessThan(Quantity::of(Situation::NEAR_WATER, Unit::Metre)));
        if (!$near || $plan->extras === []) {
            return null;
        }

        return match (true) {
            $plan->has('oil') => Advisory::blocks('mix.oil-by-water', 'rulings-J15'),
            $plan->additivesForWater === false => Advisory::blocks('mix.additives-not-for-water', 'rulings-J15'),
            $plan->additivesForWater === null => Advisory::asks('mix.additives-for-water', 'rulings-J15'),
            default => null,
        };
    }
}
