<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Option;

/**
 * With two or more products every card must allow the mixture; one that forbids it blocks, one that is silent must be
 * read first (rulings J16).
 */
final readonly class EveryCardAllowsTheMix implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $answers = array_map(
            static fn(Option $one): ?bool => $one->card?->details->answers['tankMixAllowed'] ?? null,
            $plan->partners === [] ? [] : $plan->products(),
        );
        $product = static fn(?bool $answer): string => $plan->products()[(int) array_search($answer, $answers, true)]
            ->card->product ?? '';

        return match (true) {
            in_array(false, $answers, true) => Advisory::blocks('mix.card-forbids-mixing', 'label-card', [
                'product' => $product(false),
            ]),
            in_array(null, $answers, true) => Advisory::asks('mix.mixing-not-on-card', 'label-card', [
                'product' => $product(null),
            ]),
            default => null,
        };
    }
}
