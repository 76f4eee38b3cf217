<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

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
