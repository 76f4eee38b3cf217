<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\Carrier;
use Thicket\Situation\Option;

/** A product made for water does not mix into oil (handbook 3): it falls out or stays in lumps. */
final readonly class WaterBorneInOil implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $waterBorne = static fn(Option $one): bool => in_array(
            $one->card?->contents->formulation,
            ['soluble-liquid', 'water-dispersible-granule'],
            true,
        );

        return Carrier::isOil($plan->carrier) && $plan->any($waterBorne)
            ? Advisory::blocks('mix.water-borne-in-oil', 'handbook-3')
            : null;
    }
}
