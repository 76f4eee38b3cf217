<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** The owner decides whether herbicide is used at all (handbook 8 herbicide-stance). */
final readonly class OwnersStance implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct() || $situation->stance === 'any') {
            return [];
        }
        if ($situation->stance === 'none') {
            return [Finding::notAllowed('stance.none', 'owner', [], 'change.owner-stance')];
        }
        $harm = $option->harm();

        return $harm >= 3 ? [Finding::withCare('stance.least-hazard', 'owner', ['harm' => $harm])] : [];
    }
}
