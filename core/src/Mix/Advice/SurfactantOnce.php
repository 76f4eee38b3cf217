<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Option;

/**
 * The card says whether surfactant is in the product already: ask before adding any, refuse a second dose (handbook 3).
 */
final readonly class SurfactantOnce implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        if (!$plan->has('surfactant')) {
            return null;
        }

        return match (true) {
            $plan->any(static fn(Option $one): bool => $one->card?->contents->surfactantInside === true)
                => Advisory::blocks('mix.surfactant-twice', 'label-card'),
            $plan->any(
                static fn(Option $one): bool => $one->card !== null && $one->card->contents->surfactantInside === null,
            )
                => Advisory::asks('mix.surfactant-inside', 'label-card'),
            default => null,
        };
    }
}
