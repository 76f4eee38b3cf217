<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Label\CardUse;

/**
 * Where the label parts a use by growth stage or dates: which line gave the strength, or that the stage must be looked
 * at first.
 */
final readonly class LineOfTheCard implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $candidate = $plan->candidate;
        $line = $candidate->lineOfCard($plan->situation);
        $stage = $plan->situation->stageSeen();
        $holds = array_map(
            static fn(CardUse $use): ?bool => $use->holds($stage, $plan->situation->day),
            $candidate->card?->lines($candidate->cardUse()) ?? [],
        );

        return match (true) {
            $line === null => null,
            in_array(null, $holds, true) => in_array(true, $holds, true)
                ? MixWord::care('mix.strictest-line', 'label-card')
                : MixWord::asks('mix.stage-first', 'label-card'),
            $line->stages !== [] => MixWord::care('mix.line-of-stage', 'label-card', ['stage' => (string) $stage]),
            $line->from !== null && $line->to !== null => MixWord::care('mix.line-of-dates', 'label-card', [
                'from' => $line->from,
                'to' => $line->to,
            ]),
            default => null,
        };
    }
}
