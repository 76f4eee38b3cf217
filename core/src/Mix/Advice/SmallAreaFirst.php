<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** A product new to the crew is tried on a small area first, and the record says so (handbook 3). */
final readonly class SmallAreaFirst implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->firstTime ? Advisory::care('mix.small-area-first', 'handbook-3') : null;
    }
}
