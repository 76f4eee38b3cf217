<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Dye in a spray or on bark shows what is done, so that nothing is missed or done twice (handbook 3). */
final readonly class DyeShowsWhere implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return !$plan->has('dye') && ($plan->option->goesOn('bark', 'stump') || $plan->option->isLeafSpray())
            ? Advisory::care('mix.dye', 'handbook-3')
            : null;
    }
}
