<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Oil with emulsifier and surfactant are alternatives: a recipe takes one (handbook 3). */
final readonly class OneOrTheOther implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->has('surfactant') &&
            ($plan->has('emulsifier') || ($plan->has('oil') && $plan->carrier === 'water'))
            ? Advisory::blocks('mix.emulsifier-with-surfactant', 'handbook-3')
            : null;
    }
}
