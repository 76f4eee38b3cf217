<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Option;

/** The card lists its carriers; any other is not allowed with it (handbook 3). */
final readonly class CarrierOnCard implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $refuses = static fn(Option $one): bool => $one->card !== null &&
            $one->card->directions->carriers !== [] &&
            !in_array($plan->carrier, $one->card->directions->carriers, true);

        return !$plan->any($refuses)
            ? null
            : Advisory::blocks('mix.carrier-not-on-card', 'label-card', ['carrier' => $plan->carrier]);
    }
}
