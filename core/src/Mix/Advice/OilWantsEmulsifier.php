<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Oil in water parts again without an emulsifier; its dose is the card's to say (handbook 3). */
final readonly class OilWantsEmulsifier implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->carrier === 'water' && $plan->has('oil') && !$plan->has('emulsifier')
            ? Advisory::asks('mix.emulsifier-missing', 'handbook-3')
            : null;
    }
}
