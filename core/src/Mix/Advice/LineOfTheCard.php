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
    public function judge(MixPlan $plan): ?Advisory
    {
        $option = $plan->option;
        $line = $option->lineOfCard($plan->situation);
        $stage = $plan->situation->stageSeen();
        $holds = array_map(
            static fn(CardUse $use): ?bool => $use->holds($stage, $plan->situation->day),
            $option->card?->lines($option->cardUse()) ?? [],
        );

        return match (true) {
            $line === null => null,
            in_array(null, $holds, true) => in_array(true, $holds, true)
                ? Advisory::care('mix.strictest-line', 'label-card')
                : Advisory::asks('mix.stage-first', 'label-card'),
            $line->stages !== [] => Advisory::care('mix.line-of-stage', 'label-card', ['stage' => (string) $stage]),
            $line->from !== null && $line->to !== null => Advisory::care('mix.line-of-dates', 'label-card', [
                'from' => $line->from,
                'to' => $line->to,
            ]),
            default => null,
        };
    }
}
