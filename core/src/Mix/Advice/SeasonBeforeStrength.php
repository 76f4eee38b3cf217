<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/**
 * While the sugar stream runs up, leaves burn and roots live whatever the strength (handbook 4 "Why season decides").
 */
final readonly class SeasonBeforeStrength implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $travels =
            $plan->option->isLeafSpray() &&
            $plan->option->active?->isSystemic() === true &&
            $plan->situation->target?->isPerennial() === true;

        return $travels && $plan->situation->flow() === 'up'
            ? Advisory::care('mix.season-before-strength', 'handbook-4')
            : null;
    }
}
