<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** A product made for water does not mix into oil (handbook 3): it falls out or stays in lumps. */
final readonly class WaterBorneInOil implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $formulation = $plan->candidate->card?->formulation;

        return $plan->carrier === 'oil' && in_array($formulation, ['soluble-liquid', 'water-dispersible-granule'], true) ? MixWord::blocks('mix.water-borne-in-oil', 'handbook-3') : null;
    }
}
