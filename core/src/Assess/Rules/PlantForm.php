<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Whether the method is made for this form of plant (handbook 2), conifer stumps and cactus included. */
final readonly class PlantForm implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null) {
            return [];
        }
        if ($candidate->how('mow') && $target->habit() === 'cactus') {
            return [Finding::doesNotSuit('form.mow-spreads-pads', 'handbook-2-mow', [], 'change.dig-instead')];
        }
        if ($candidate->isLeafSpray() && $target->habit() === 'cactus') {
            return [Finding::doesNotSuit('cactus.for-a-contractor', 'handbook-2', [], 'change.dig-or-contractor')];
        }
        if (!$candidate->method->isFor($target)) {
            return [Finding::doesNotSuit('form.not-for', $candidate->method->source(), ['habit' => $target->habit()])];
        }
        if ($candidate->goesOn('stump') && $target->isConifer() && $target->resprouts() === false) {
            return [Finding::doesNotSuit('form.softwood-stump', 'handbook-2-cut-stump', [], 'change.cut-only')];
        }
        if ($candidate->how('pull', 'lever', 'dig') && $target->isWoody() && $situation->stems === []) {
            return [Finding::unknown('stem-diameter', $candidate->method->source(), true)];
        }

        return [];
    }
}
