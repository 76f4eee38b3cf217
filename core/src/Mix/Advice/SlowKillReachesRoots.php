<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/**
 * While the stream runs down, a leaf burned within days exports no more (handbook 4): a quick-burning product at the
 * low end of its card.
 */
final readonly class SlowKillReachesRoots implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $burns =
            $plan->option->isLeafSpray() &&
            $plan->mind('leaf-burn') &&
            $plan->situation->target?->isPerennial() === true;

        return $burns && $plan->situation->flow() === 'down' ? Advisory::care('mix.slow-kill', 'handbook-4') : null;
    }
}
