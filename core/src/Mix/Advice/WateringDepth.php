<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Mix\TreatedArea;
use Thicket\Mix\Watering;

/**
 * How much water carries it in, where a card says how deep: the deepest of the tank, as volume on the treated ground
 * (handbook 3, small sums).
 */
final readonly class WateringDepth implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $watering = Watering::of(
            $plan->products(),
            TreatedArea::of($plan->situation, $plan->option, $plan->situation->area),
        );
        if ($watering?->depth === null) {
            return null;
        }

        return $watering->volume === null
            ? Advisory::care('mix.water-in-depth', 'label-card', ['depth' => $watering->depth])
            : Advisory::care('mix.water-in-volume', 'label-card', [
                'depth' => $watering->depth,
                'volume' => $watering->volume,
            ]);
    }
}
