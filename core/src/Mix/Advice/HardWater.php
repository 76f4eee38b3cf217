<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Hard water ties up a salt of a weak acid; a conditioner goes in first, by the label (handbook 3). */
final readonly class HardWater implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->carrier === 'water' &&
            $plan->water === 'hard' &&
            $plan->mind('muddy-water') &&
            !$plan->has('conditioner')
            ? Advisory::care('mix.hard-water', 'handbook-3')
            : null;
    }
}
