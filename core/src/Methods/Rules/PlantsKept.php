<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Keep or kill by class (handbook 2): what a product spares or takes of what must be kept. A class rule never says 'safe' (rulings J14). */
final readonly class PlantsKept implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $active = $candidate->active;
        if ($active === null || !$candidate->is('foliar-spot')) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            $kills = $keeper->isTakenBy($active->selectivity());
            if ($kills === null) {
                continue;
            }
            $values = ['keeper' => $keeper->name, 'active' => $active->name()];
            $findings[] = $kills
                ? Finding::withCare('keep.may-be-hit', 'handbook-2', $values, 'change.shield')
                : Finding::fits('keep.expected-spared', 'rulings-J14', $values);
        }

        return $findings;
    }
}
