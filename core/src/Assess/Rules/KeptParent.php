<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Basal bark on suckers of a parent that is kept (handbook 8 beech-parent): at risk unless the crew holds with the
 * other school.
 */
final readonly class KeptParent implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'beech-parent';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$option->goesOn('bark') || $target->suckers() !== true) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            if ($keeper->speciesId === $target->id()) {
                $values = ['keeper' => $keeper->name];
                $findings[] =
                    $option->schools->choice('beech-parent') === 'unharmed'
                        ? Finding::fits('parent.unharmed', 'handbook-8', $values)
                        : Finding::withCare('parent.at-risk', 'handbook-8', $values, 'change.keep-off-suckers');
            }
        }

        return $findings;
    }
}
