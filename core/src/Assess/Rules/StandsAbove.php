<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/** Wiping takes what stands above the plants kept (handbook 2 wick). */
final readonly class StandsAbove implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            $option->method->guard() !== 'wick' ||
            $situation->target === null ||
            !$option->method->isFor($situation->target)
        ) {
            return [];
        }

        return [
            match ($situation->isYes(FactName::AboveKeepers)) {
                true => Finding::fits('wick.above', 'handbook-2-wick', [], Certainty::Observed),
                false => Finding::doesNotSuit(
                    'wick.not-above',
                    'handbook-2-wick',
                    [],
                    'change.shield-or-wait',
                    Certainty::Observed,
                ),
                null => Finding::unknown('above-keepers', 'handbook-2-wick', true),
            },
        ];
    }
}
