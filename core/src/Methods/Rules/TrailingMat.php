<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** A mat that trails and roots as it goes has no stump to treat, and answers a cut by rooting on. */
final readonly class TrailingMat implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->target?->isTrailingMat() !== true || !$candidate->method->isFor($situation->target)) {
            return [];
        }

        return match (true) {
            $candidate->goesOn('stump', 'bark', 'wood') => [
                Finding::doesNotSuit('mat.no-stump', 'handbook-2', [], 'change.spray-or-smother', Certainty::Typical),
            ],
            $candidate->how('cut', 'top') => [
                Finding::doesNotSuit('mat.roots-on', 'handbook-2', [], 'change.spray-or-smother', Certainty::Typical),
            ],
            default => [],
        };
    }
}
