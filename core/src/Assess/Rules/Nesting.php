<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\TurnsWithTheYear;
use Thicket\Calendar\Day;
use Thicket\Season\LocalSpans;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Nests are looked for before hedges and trees are cut or girdled (rulings J20). The season is our guess
 * (coefficients.yaml), moved to the ground; local law may name another.
 */
final readonly class Nesting implements TurnsWithTheYear
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            !$target->isWoody() ||
            !in_array($candidate->method->work(), ['cutting', 'machine'], true) ||
            !$candidate->method->isFor($target)
        ) {
            return [];
        }
        foreach ($this->spans($situation, $candidate, Day::year($situation->day)) as $span) {
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

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        if (
            $situation->target?->isWoody() !== true ||
            !in_array($candidate->method->work(), ['cutting', 'machine'], true)
        ) {
            return [];
        }

        $days = [];
        foreach ($this->spans($situation, $candidate, $year) as $span) {
            $days = [...$days, $span['first'], $span['last']->modify('+1 day')];
        }

        return $days;
    }

    /** @return list<array{first: \DateTimeImmutable, last: \DateTimeImmutable}> */
    private function spans(Situation $situation, Candidate $candidate, int $year): array
    {
        return LocalSpans::within(
            $situation->shift,
            $candidate->catalogue->coefficients()->node('seasons')->node('nesting'),
            $year,
        );
    }
}
