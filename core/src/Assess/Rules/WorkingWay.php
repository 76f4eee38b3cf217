<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * How the work is done where schools differ but no verdict hangs on it (handbook 8): the way taken is said, and the
 * others shown.
 */
final readonly class WorkingWay implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null || !$candidate->method->isFor($target)) {
            return [];
        }
        $findings = [];
        foreach ($candidate->catalogue->schoolsOfMethod($candidate->method->id()) as $school) {
            $others = array_fill_keys($candidate->schools->alternatives($school->id()), Outcome::Fits);
            $findings[] = Finding::fits('school.way', 'handbook-8', [
                'school' => $school->id(),
                'choice' => $school->id() . '.' . $candidate->schools->choice($school->id()),
            ])->restingOn($school->id(), $others);
        }

        return $findings;
    }
}
