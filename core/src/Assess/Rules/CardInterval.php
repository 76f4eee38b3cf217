<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\TurnsWithTheYear;
use Thicket\Catalogue\FactName;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Days that a card asks for since one of its actives was last put on this ground (rulings J7): closed until then,
 * whatever way it was put there.
 */
final readonly class CardInterval implements TurnsWithTheYear
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $opens = $this->opens($situation, $candidate);
        $last = $this->last($situation, $candidate);

        if ($opens === null || $last === []) {
            return [];
        }
        $values = ['last' => max($last), 'opens' => $opens];

        return [
            Finding::notNow(
                'interval.since-last',
                'label-card',
                $values,
                $opens,
                'change.wait-interval',
                Certainty::Observed,
            ),
        ];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        $opens = $this->opens($situation, $candidate);

        return $opens === null ? [] : [$opens];
    }

    private function opens(Situation $situation, Candidate $candidate): ?\DateTimeImmutable
    {
        $last = $this->last($situation, $candidate);

        if ($candidate->card === null || $last === []) {
            return null;
        }

        return (new TankTerms([$candidate->card]))->wait(
            $last,
            $situation->word(FactName::Setting),
            $situation->day,
        )['opens'];
    }

    /** @return array<string, \DateTimeImmutable> day of the last application by then, by active of the card */
    private function last(Situation $situation, Candidate $candidate): array
    {
        $last = [];
        foreach ($situation->history as $past) {
            if (
                $past->active !== null &&
                $past->on <= $situation->day &&
                $candidate->card?->holds($past->active) === true
            ) {
                $last[$past->active] = max($past->on, $last[$past->active] ?? $past->on);
            }
        }

        return $last;
    }
}
