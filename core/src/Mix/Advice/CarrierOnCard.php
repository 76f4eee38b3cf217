<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** The card lists its carriers; any other is not allowed with it (handbook 3). */
final readonly class CarrierOnCard implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $card = $plan->candidate->card;

        return $card === null || $card->carriers === [] || in_array($plan->carrier, $card->carriers, true) ? null : MixWord::blocks('mix.carrier-not-on-card', 'label-card', ['carrier' => $plan->carrier]);
    }
}
