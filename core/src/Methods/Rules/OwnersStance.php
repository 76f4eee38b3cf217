<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

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
