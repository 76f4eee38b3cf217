<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** A preventer on bare ground only, or among plants of an established bed (handbook 8 preventer-ground). */
final readonly class BareGround implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'preventer-ground';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (!$option->goesOn('soil') || $target === null || !$option->method->isFor($target)) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            // among them: planted on the very ground
            if (
                in_array($keeper->kind, ['forbs', 'planting', 'shrub'], true) &&
                $keeper->distance !== null &&
                $keeper->distance->isZero()
            ) {
                $values = ['keeper' => $keeper->name];
                $findings[] =
                    $option->schools->choice('preventer-ground') === 'among-plants'
                        ? Finding::withCare('sprout.among-plants', 'handbook-8', $values)
                        : Finding::doesNotSuit('sprout.not-bare', 'handbook-8', $values, 'change.leave-that-part');
            }
        }

        return $findings;
    }
}
