<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/** Plants that poison, burn or prick (handbook 5, rulings J36), never trimmed nor burned (J35). */
final readonly class Hazards implements Rule
{
    private const POISONOUS = ['poisonous', 'skin-burning-sap', 'irritant-oil'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null) {
            return [];
        }
        $findings = [];
        if ($target->hasHazard(...self::POISONOUS)) {
            $findings[] = in_array($option->method->work(), ['machine', 'fire'], true)
                ? Finding::notAllowed('hazard.never-trim', 'rulings-J35', [], 'change.hand-blade')
                : Finding::withCare(
                    match (true) {
                        $target->hasHazard('skin-burning-sap') => 'hazard.burning-sap',
                        $target->hasHazard('irritant-oil') => 'hazard.irritant-oil',
                        default => 'hazard.poisonous',
                    },
                    'handbook-5',
                );
        } elseif (
            $target->hasHazard('thorns', 'spines', 'skin-irritant') &&
            in_array($option->method->work(), ['hand', 'cutting'], true)
        ) {
            $findings[] = Finding::withCare('hazard.gloves', 'handbook-5');
        }
        if ($situation->isYes(FactName::ThornsKept) === true && $option->method->work() === 'hand') {
            // hurt to the worker is a reason to change the way (handbook 2)
            $findings[] = Finding::withCare(
                'hazard.thorns-of-the-kept',
                'handbook-2',
                [],
                'change.spray-over-or-shield',
                Certainty::Observed,
            );
        }

        return $findings;
    }
}
