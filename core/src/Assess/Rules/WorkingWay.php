<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * How the work is done where schools differ but no verdict hangs on it (handbook 8): the way taken is said, and the
 * others shown.
 */
final readonly class WorkingWay implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$option->method->isFor($target)) {
            return [];
        }
        $findings = [];
        foreach ($option->catalogue->schoolsOfMethod($option->method->id()) as $school) {
            $others = array_fill_keys($option->schools->alternatives($school->id()), Outcome::Fits);
            $findings[] = Finding::fits('school.way', 'handbook-8', [
                'school' => $school->id(),
                'choice' => $school->id() . '.' . $option->schools->choice($school->id()),
            ])->restingOn($school->id(), $others);
        }

        return $findings;
    }
}
