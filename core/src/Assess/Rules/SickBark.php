<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Bark disease drives a tree that suckers to sucker more, whatever is done to its stem (handbook 1, beech): expect
 * regrowth, book the rounds.
 */
final readonly class SickBark implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            $situation->isYes(FactName::BarkDiseased) !== true ||
            !$target->isRootSuckering() ||
            !$option->method->isFor($target)
        ) {
            return [];
        }
        $onStem =
            in_array($option->method->work(), ['cutting', 'injection'], true) ||
            $option->goesOn('bark', 'stump', 'wood');

        return $onStem
            ? [Finding::withCare('disease.more-suckers', 'handbook-1', [], 'change.book-rounds', Certainty::Observed)]
            : [];
    }
}
