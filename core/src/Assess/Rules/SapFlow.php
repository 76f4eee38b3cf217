<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Maples, birches and kin push the mix out of a cut from late winter to full leaf (handbook 4, rulings J12), in every
 * school.
 */
final readonly class SapFlow implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            $situation->target === null ||
            $option->method->season() !== 'cut-stem' ||
            !$option->method->isFor($situation->target)
        ) {
            return [];
        }
        if ($situation->target->sapFlow() !== 'strong') {
            return [];
        }
        foreach ([Day::year($situation->day) - 1, Day::year($situation->day)] as $year) {
            $from = $situation->phenology()?->local('01-16', $year);
            $to = $situation->phenology()?->dayOf('fullLeaf', $year);
            if ($from !== null && $to !== null && $situation->day >= $from && $situation->day < $to) {
                return [
                    Finding::notNow(
                        'sap.pushes-out',
                        'handbook-4',
                        ['from' => $from, 'to' => $to],
                        $to,
                        'change.wait-till',
                        Certainty::Estimated,
                    ),
                ];
            }
        }

        return [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if ($option->method->season() !== 'cut-stem' || $situation->target?->sapFlow() !== 'strong') {
            return [];
        }

        return array_values(
            array_filter([
                $situation->phenology()?->local('01-16', $year),
                $situation->phenology()?->dayOf('fullLeaf', $year),
            ]),
        );
    }
}
