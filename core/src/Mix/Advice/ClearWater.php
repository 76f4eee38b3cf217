<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Muddy water ties up an active that binds to soil before it reaches the plant (handbook 3). */
final readonly class ClearWater implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->carrier === 'water' && $plan->water === 'muddy' && $plan->mind('muddy-water')
            ? Advisory::blocks('mix.muddy-water', 'handbook-3')
            : null;
    }
}
