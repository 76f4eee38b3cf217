<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * Plants of one stand at two growth stages (rosettes beside stalks): the row is judged by the stage that was noted
 * first, and this rule tells what the same way would do to the others, by asking the rules that read the stage once
 * more.
 */
final readonly class OtherStage implements ChangesWithSeason
{
    /** @param list<Rule> $byStage the rules that read the growth stage */
    public function __construct(private array $byStage) {}

    public function evaluate(Situation $situation, Option $option): array
    {
        $other = $situation->word(FactName::AlsoStage);
        if (
            $other === null ||
            $situation->target === null ||
            !$option->method->isFor($situation->target) ||
            $other === ($situation->stage()[0] ?? null)
        ) {
            return [];
        }
        $here = $this->worst($situation, $option);
        $there = $this->worst($situation->atStage($other), $option);
        $shut = [Outcome::DoesNotSuit, Outcome::NotAllowed, Outcome::NotNow];
        $values = ['stage' => $other];

        return match (true) {
            in_array($there, $shut, true) && !in_array($here, $shut, true) => [
                Finding::withCare(
                    'stage.others-not-served',
                    'rulings-J43',
                    $values,
                    'change.own-round',
                    Certainty::Observed,
                ),
            ],
            in_array($here, $shut, true) && !in_array($there, $shut, true) => [
                Finding::fits('stage.others-served', 'rulings-J43', $values, Certainty::Observed),
            ],
            default => [],
        };
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $other = $situation->word(FactName::AlsoStage);
        $days = [];
        foreach ($other === null ? [] : $this->byStage as $rule) {
            if ($rule instanceof ChangesWithSeason) {
                $days = [
                    ...$days,
                    ...$rule->turns($situation, $option, $year),
                    ...$rule->turns($situation->atStage((string) $other), $option, $year),
                ];
            }
        }

        return $days;
    }

    private function worst(Situation $situation, Option $option): Outcome
    {
        $worst = Outcome::Fits;
        foreach ($this->byStage as $rule) {
            foreach ($rule->evaluate($situation, $option) as $finding) {
                $worst = $finding->outcome->rank() < $worst->rank() ? $finding->outcome : $worst;
            }
        }

        return $worst;
    }
}
