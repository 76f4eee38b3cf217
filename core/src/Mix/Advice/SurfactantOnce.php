<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** The card says whether surfactant is in the product already: ask before adding any, refuse a second dose (handbook 3). */
final readonly class SurfactantOnce implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        if (!$plan->has('surfactant') || $plan->candidate->card === null) {
            return null;
        }

        return match ($plan->candidate->card->surfactantInside) {
            true => MixWord::blocks('mix.surfactant-twice', 'label-card'),
            null => MixWord::asks('mix.surfactant-inside', 'label-card'),
            false => null,
        };
    }
}
