<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** A wiper carries a mix far stronger than any spray: one drop kills what stands below (handbook 2). */
final readonly class WickStaysDripFree implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->option->method->work() === 'wipe' ? Advisory::care('mix.drip-free', 'handbook-2') : null;
    }
}
