<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** The owner decides whether herbicide is used at all (handbook 8 herbicide-stance). */
final readonly class OwnersStance implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct() || $situation->stance === 'any') {
            return [];
        }
        if ($situation->stance === 'none') {
            return [Finding::notAllowed('stance.none', 'owner', [], 'change.owner-stance')];
        }
        $harm = $candidate->harm();

        return $harm >= 3 ? [Finding::withCare('stance.least-hazard', 'owner', ['harm' => $harm])] : [];
    }
}
