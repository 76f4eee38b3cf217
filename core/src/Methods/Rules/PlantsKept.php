<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Keeper;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;
use Thicket\Mix\Active;

/** Keep or kill by class (handbook 2): what a product spares or takes of what must be kept. A class rule never says 'safe' (rulings J14). */
final readonly class PlantsKept implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $active = $candidate->active;
        if ($active === null || !$candidate->goesOn('leaf')) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            $finding = $this->ofKeeper($keeper, $candidate, $active);
            $finding === null || $findings[] = $finding;
        }

        return $findings;
    }

    private function ofKeeper(Keeper $keeper, Candidate $candidate, Active $active): ?Finding
    {
        $byClass = $keeper->isTakenBy($active->selectivity());
        if ($byClass === null) {
            return null;
        }
        $species = $keeper->speciesId === null ? null : $candidate->catalogue->species($keeper->speciesId);
        $known = $species?->responseTo($active->id());
        $values = ['keeper' => $keeper->name, 'active' => $active->name()];
        // labels by class say nothing of sedges (rulings J14)
        if ($species !== null && $species->habit() === 'sedge' && $known === null && $candidate->method->guard() !== 'wick') {
            return Finding::unknown('keeper-tolerance', 'rulings-J14', true, $values);
        }
        if ($known === null ? !$byClass : $known === 'misses') {
            return Finding::fits('keep.expected-spared', 'rulings-J14', $values);
        }

        return match ($candidate->method->guard()) {
            'wick' => Finding::fits('keep.below-wick', 'handbook-2-wick', $values),
            'shield' => Finding::withCare('keep.shielded', 'handbook-2-shielded-spot-spray', $values),
            'class' => Finding::doesNotSuit('keep.would-be-taken', 'handbook-2', $values, 'change.shield-or-wick'),
            default => Finding::withCare('keep.may-be-hit', 'handbook-2', $values, 'change.shield'),
        };
    }
}
