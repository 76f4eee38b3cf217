<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Calendar\Day;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Outcome;

/**
 * How one row stands through a year, from the calendar alone: weather and what was seen on a day are left aside. Judged
 * once at each day on which a rule turns (rulings B34).
 */
final readonly class YearOutlook
{
    /**
     * @param list<array{first: \DateTimeImmutable, last: \DateTimeImmutable, outcome: Outcome}> $spans without a gap,
     *     in order
     * @param int $judged how many times the row was judged
     */
    private function __construct(public Option $option, public array $spans, public int $judged) {}

    /** @param list<string> $answered codes of findings that the sequence of jobs answers, set aside */
    public static function of(
        Situation $situation,
        Option $option,
        int $year,
        ?RuleSet $rules = null,
        array $answered = [],
    ): self {
        $rules ??= RuleSet::standard();
        $season = $situation->seasonOnly();
        $first = Day::of($year, 1, 1);
        $last = Day::of($year, 12, 31);
        $turns = [$first->format('Y-m-d') => $first];
        foreach ($rules->rules as $rule) {
            foreach ($rule instanceof ChangesWithSeason ? $rule->turns($season, $option, $year) : [] as $day) {
                if ($day > $first && $day <= $last) {
                    $turns[$day->format('Y-m-d')] = $day;
                }
            }
        }
        ksort($turns);
        $days = array_values($turns);
        $spans = [];
        foreach ($days as $i => $day) {
            $until = isset($days[$i + 1]) ? $days[$i + 1]->modify('-1 day') : $last;
            $outcome = self::outcome($season->onDay($day), $option, $rules, $answered);
            $before = $spans === [] ? null : $spans[count($spans) - 1];
            $goesOn = $before !== null && $before['outcome'] === $outcome;
            $goesOn && array_pop($spans);
            $spans = [
                ...$spans,
                ['first' => $goesOn ? $before['first'] : $day, 'last' => $until, 'outcome' => $outcome],
            ];
        }

        return new self($option, $spans, count($days));
    }

    /** @return array{worst: Outcome, best: Outcome} of the days of a column */
    public function between(\DateTimeImmutable $first, \DateTimeImmutable $last): array
    {
        $worst = $best = null;
        foreach ($this->spans as $span) {
            if ($span['last'] >= $first && $span['first'] <= $last) {
                $worst = $worst === null || $span['outcome']->isWorseThan($worst) ? $span['outcome'] : $worst;
                $best = $best === null || $best->isWorseThan($span['outcome']) ? $span['outcome'] : $best;
            }
        }

        return ['worst' => $worst ?? Outcome::CannotTell, 'best' => $best ?? Outcome::CannotTell];
    }

    /**
     * The season around the day asked about: the last day on which it is not shut yet, or, where it is shut, the first
     * on which it is not. Looks to the end of the next year; both null where it never turns till then.
     *
     * @param \DateTimeImmutable|null $notBefore by its programme
     * @param \DateTimeImmutable|null $notAfter by its programme; one that is past slipped, and shuts nothing
     *
     * @return array{opens: \DateTimeImmutable|null, lastDay: \DateTimeImmutable|null}
     */
    public static function seasonAround(
        Situation $situation,
        Option $option,
        ?\DateTimeImmutable $notBefore = null,
        ?\DateTimeImmutable $notAfter = null,
    ): array {
        $day = $situation->day;
        if ($notBefore > $day) {
            return ['opens' => $notBefore, 'lastDay' => null];
        }
        $season = self::turnsAround($situation, $option);
        $ends = $notAfter !== null && $notAfter >= $day && $season['opens'] === null;

        return $ends ? ['opens' => null, 'lastDay' => min($notAfter, $season['lastDay'] ?? $notAfter)] : $season;
    }

    /** Whether an outcome of the calendar shuts a day; what cannot be told for want of a fact is not shut. */
    public static function isShut(Outcome $outcome): bool
    {
        return $outcome !== Outcome::CannotTell && $outcome->isWorseThan(Outcome::WithCare);
    }

    /** @return array{opens: \DateTimeImmutable|null, lastDay: \DateTimeImmutable|null} */
    private static function turnsAround(Situation $situation, Option $option): array
    {
        $day = $situation->day;
        $lastDay = null;
        foreach ([Day::year($day), Day::year($day) + 1] as $year) {
            foreach (self::of($situation, $option, $year)->spans as $span) {
                if ($span['last'] < $day) {
                    continue;
                }
                $isShut = self::isShut($span['outcome']);
                if ($isShut && $lastDay !== null) {
                    return ['opens' => null, 'lastDay' => $lastDay];
                }
                if (!$isShut && $span['first'] > $day && $lastDay === null) {
                    return ['opens' => $span['first'], 'lastDay' => null];
                }
                $lastDay = $isShut ? null : $span['last'];
            }
        }

        return ['opens' => null, 'lastDay' => null];
    }

    /** @param list<string> $answered */
    private static function outcome(Situation $situation, Option $option, RuleSet $rules, array $answered): Outcome
    {
        $worst = Outcome::Fits;
        foreach ($rules->rules as $rule) {
            foreach ($rule->evaluate($situation, $option) as $finding) {
                $counts = !in_array($finding->code, $answered, true);
                $worst = $counts && $finding->outcome->isWorseThan($worst) ? $finding->outcome : $worst;
            }
        }

        return $worst;
    }
}
