<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** A shield, cone or cup keeps spray in as well as out: only the target may be under it (handbook 2). */
final readonly class LookInsideTheShield implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->option->method->guard() === 'shield' ? Advisory::care('mix.look-in', 'handbook-2') : null;
    }
}
