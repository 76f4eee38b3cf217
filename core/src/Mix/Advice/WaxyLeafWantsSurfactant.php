<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Option;

/** Spray runs off a waxy leaf (handbook 2): surfactant, or bruise it first. */
final readonly class WaxyLeafWantsSurfactant implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $waxy = $plan->situation->target?->hasWaxyLeaf() === true && $plan->option->isLeafSpray();

        return $waxy &&
            !$plan->has('surfactant') &&
            !$plan->has('emulsifier') &&
            !$plan->any(static fn(Option $one): bool => $one->card?->contents->surfactantInside === true)
            ? Advisory::care('mix.waxy-leaf', 'handbook-2')
            : null;
    }
}
