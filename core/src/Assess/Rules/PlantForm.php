<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Whether the method is made for this form of plant (handbook 2), conifer stumps and cactus included. */
final readonly class PlantForm implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null) {
            return [];
        }
        if ($option->how('mow') && $target->habit() === 'cactus') {
            return [Finding::doesNotSuit('form.mow-spreads-pads', 'handbook-2-mow', [], 'change.dig-instead')];
        }
        if ($option->isLeafSpray() && $target->habit() === 'cactus') {
            return [Finding::doesNotSuit('cactus.for-a-contractor', 'handbook-2', [], 'change.dig-or-contractor')];
        }
        if (!$option->method->isFor($target)) {
            return [Finding::doesNotSuit('form.not-for', $option->method->source(), ['habit' => $target->habit()])];
        }
        if ($option->goesOn('stump') && $target->isConifer() && $target->resprouts() === false) {
            return [Finding::doesNotSuit('form.softwood-stump', 'handbook-2-cut-stump', [], 'change.cut-only')];
        }
        if ($option->how('pull', 'lever', 'dig') && $target->isWoody() && $situation->stems === []) {
            return [Finding::unknown('stem-diameter', $option->method->source(), true)];
        }

        return [];
    }
}
