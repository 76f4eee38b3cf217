<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/** A mat that trails and roots as it goes has no stump to treat, and answers a cut by rooting on. */
final readonly class TrailingMat implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if ($situation->target?->isTrailingMat() !== true || !$option->method->isFor($situation->target)) {
            return [];
        }

        return match (true) {
            $option->goesOn('stump', 'bark', 'wood') => [
                Finding::doesNotSuit('mat.no-stump', 'handbook-2', [], 'change.spray-or-smother', Certainty::Typical),
            ],
            $option->how('cut', 'top') => [
                Finding::doesNotSuit('mat.roots-on', 'handbook-2', [], 'change.spray-or-smother', Certainty::Typical),
            ],
            default => [],
        };
    }
}
