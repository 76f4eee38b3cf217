<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** A girdle with herbicide or without (handbook 8 girdle-chem). */
final readonly class GirdleAlone implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'girdle-chem';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            !$option->how('girdle') ||
            $option->method->usesProduct() ||
            $target === null ||
            !$option->method->isFor($target)
        ) {
            return [];
        }

        foreach ($situation->keepers as $keeper) {
            if ($keeper->speciesId === $target->id() && $keeper->isInRootReach() !== false) {
                return [Finding::fits('girdle.beside-its-kind', 'rulings-J57', ['keeper' => $keeper->name])];
            }
        }

        return [
            $option->schools->choice('girdle-chem') === 'without' || $situation->stance === 'none'
                ? Finding::fits('girdle.alone', 'handbook-8', [])
                : Finding::withCare('girdle.with-product', 'handbook-8', [], 'change.girdle-spray'),
        ];
    }
}
