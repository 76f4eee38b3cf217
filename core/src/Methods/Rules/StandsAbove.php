<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Wiping takes what stands above the plants kept (handbook 2 wick). */
final readonly class StandsAbove implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (
            $candidate->method->guard() !== 'wick' ||
            $situation->target === null ||
            !$candidate->method->isFor($situation->target)
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
