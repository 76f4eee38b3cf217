<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Days that a card asks for since one of its actives was last put on this ground (rulings J7): closed until then,
 * whatever way it was put there.
 */
final readonly class CardInterval implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $opens = $this->opens($situation, $option);
        $last = $this->last($situation, $option);

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

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $opens = $this->opens($situation, $option);

        return $opens === null ? [] : [$opens];
    }

    private function opens(Situation $situation, Option $option): ?\DateTimeImmutable
    {
        $last = $this->last($situation, $option);

        if ($option->card === null || $last === []) {
            return null;
        }

        return (new TankTerms([$option->card]))->wait(
            $last,
            $situation->word(FactName::Setting),
            $situation->day,
        )['opens'];
    }

    /** @return array<string, \DateTimeImmutable> day of the last application by then, by active of the card */
    private function last(Situation $situation, Option $option): array
    {
        $last = [];
        foreach ($situation->history as $past) {
            if (
                $past->active !== null &&
                $past->on <= $situation->day &&
                $option->card?->holds($past->active) === true
            ) {
                $last[$past->active] = max($past->on, $last[$past->active] ?? $past->on);
            }
        }

        return $last;
    }
}
