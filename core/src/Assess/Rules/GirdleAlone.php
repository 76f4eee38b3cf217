<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** A girdle with herbicide or without (handbook 8 girdle-chem). */
final readonly class GirdleAlone implements RestsOnSchool
{
    public function school(Situation $situation, Candidate $candidate): string
    {
        return 'girdle-chem';
    }

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if (
            !$candidate->how('girdle') ||
            $candidate->method->usesProduct() ||
            $target === null ||
            !$candidate->method->isFor($target)
        ) {
            return [];
        }

        foreach ($situation->keepers as $keeper) {
            if ($keeper->speciesId === $target->id() && $keeper->isInRootReach() !== false) {
                return [Finding::fits('girdle.beside-its-kind', 'rulings-J57', ['keeper' => $keeper->name])];
            }
        }

        return [
            $candidate->schools->choice('girdle-chem') === 'without' || $situation->stance === 'none'
                ? Finding::fits('girdle.alone', 'handbook-8', [])
                : Finding::withCare('girdle.with-product', 'handbook-8', [], 'change.girdle-spray'),
        ];
    }
}
