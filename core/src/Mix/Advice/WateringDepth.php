<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Mix\Layer;
use Thicket\Mix\TreatedArea;

/** How much water carries it in, where a card says how deep: the deepest of the tank, as volume on the treated ground (handbook 3, small sums). */
final readonly class WateringDepth implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $depth = null;
        foreach ($plan->products() as $one) {
            $its = $one->card?->details?->waterInDepth;
            $depth = $its !== null && ($depth === null || $its->isGreaterThan($depth)) ? $its : $depth;
        }
        if ($depth === null) {
            return null;
        }
        $area = TreatedArea::of($plan->situation, $plan->candidate, $plan->situation->area);

        return $area === null ? MixWord::care('mix.water-in-depth', 'label-card', ['depth' => $depth])
            : MixWord::care('mix.water-in-volume', 'label-card', ['depth' => $depth, 'volume' => Layer::volume($area, $depth)]);
    }
}
