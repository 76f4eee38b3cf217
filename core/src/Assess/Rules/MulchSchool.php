<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Mulch against annual bluegrass: first choice, or not very effective (handbook 8 bed-mulch). */
final readonly class MulchSchool implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'bed-mulch';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            !$option->how('cover') ||
            !in_array($situation->target?->id(), $option->catalogue->school('bed-mulch')->species(), true)
        ) {
            return [];
        }

        return $option->schools->choice('bed-mulch') === 'not-very-effective'
            ? [Finding::withCare('mulch.weak', 'handbook-8', [], 'change.other-helpers')]
            : [
                Finding::fits('school.way', 'handbook-8', [
                    'school' => 'bed-mulch',
                    'choice' => 'bed-mulch.first-choice',
                ]),
            ];
    }
}
