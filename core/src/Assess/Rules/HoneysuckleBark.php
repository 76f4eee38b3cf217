<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Basal bark on bush honeysuckle: used by some, avoided by others for its bark (handbook 8). */
final readonly class HoneysuckleBark implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'honeysuckle-basal';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            !$option->goesOn('bark') ||
            !in_array($situation->target?->id(), $option->catalogue->school('honeysuckle-basal')->species(), true)
        ) {
            return [];
        }

        return $option->schools->choice('honeysuckle-basal') === 'avoided'
            ? [Finding::doesNotSuit('bark.honeysuckle-avoided', 'handbook-8', [], 'change.hack-or-stump')]
            : [
                Finding::fits('school.way', 'handbook-8', [
                    'school' => 'honeysuckle-basal',
                    'choice' => 'honeysuckle-basal.used',
                ]),
            ];
    }
}
