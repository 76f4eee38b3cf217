<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Slopes: no tractor pull (rulings J34), soil moved by digging washes off, soil-active products reach further down
 * (J28).
 */
final readonly class Steep implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $slope = $situation->word(FactName::Slope);
        if ($slope === null) {
            return $option->how('drag') ? [Finding::unknown('slope', 'rulings-J34', true)] : [];
        }
        if ($slope === 'level') {
            return [];
        }
        $values = ['slope' => $slope];

        return match (true) {
            $option->how('drag') => [
                Finding::doesNotSuit(
                    'slope.no-tractor',
                    'rulings-J34',
                    $values,
                    'change.lever-or-cut',
                    Certainty::Observed,
                ),
            ],
            $slope === 'steep' && $option->how('mow') => [
                Finding::withCare('slope.machine', 'handbook-5', $values, null, Certainty::Observed),
            ],
            $slope === 'steep' && $option->how('dig', 'till') => [
                Finding::withCare(
                    'slope.soil-washes',
                    'handbook-9',
                    $values,
                    'change.small-pieces',
                    Certainty::Observed,
                ),
            ],
            $option->isSoilActive() => [
                Finding::withCare('slope.reaches-further', 'rulings-J28', $values, null, Certainty::Observed),
            ],
            default => [],
        };
    }
}
