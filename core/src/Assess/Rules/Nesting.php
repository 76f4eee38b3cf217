<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Season\LocalSpans;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Nests are looked for before hedges and trees are cut or girdled (rulings J20). The season is our guess
 * (coefficients.yaml), moved to the ground; local law may name another.
 */
final readonly class Nesting implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            !$target->isWoody() ||
            !in_array($option->method->work(), ['cutting', 'machine'], true) ||
            !$option->method->isFor($target)
        ) {
            return [];
        }
        foreach ($this->spans($situation, $option, Day::year($situation->day)) as $span) {
            if ($situation->day >= $span['first'] && $situation->day <= $span['last']) {
                return [
                    Finding::withCare(
                        'nest.look-first',
                        'rulings-J20',
                        ['from' => $span['first'], 'to' => $span['last']],
                        'change.after-nesting',
                        Certainty::Estimated,
                    ),
                ];
            }
        }

        return [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (
            $situation->target?->isWoody() !== true ||
            !in_array($option->method->work(), ['cutting', 'machine'], true)
        ) {
            return [];
        }

        $days = [];
        foreach ($this->spans($situation, $option, $year) as $span) {
            $days = [...$days, $span['first'], $span['last']->modify('+1 day')];
        }

        return $days;
    }

    /** @return list<array{first: \DateTimeImmutable, last: \DateTimeImmutable}> */
    private function spans(Situation $situation, Option $option, int $year): array
    {
        return LocalSpans::within($situation->shift, $option->catalogue->coefficients()->season('nesting'), $year);
    }
}
