<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Catalogue\DaySpan;
use Thicket\Catalogue\FactName;
use Thicket\Season\LocalSpans;
use Thicket\Situation\Option;
use Thicket\Situation\PastWork;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The preventer of autumn is followed by a second once spring soil can be worked; somebody ticks that it can (handbook
 * 4).
 */
final readonly class SecondLaying implements ChangesWithSeason
{
    private const SOURCE = 'handbook-4';
    /** Laid so long before, it was the one of autumn (our guess). */
    private const LEAST_DAYS = 60;
    private const MOST_DAYS = 300;
    /** Between these days of the catalogue soil may still be too wet or frozen (our guess). */
    private const SPRING = ['from' => '02-01', 'to' => '05-31'];

    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            !$option->goesOn('soil') ||
            $this->laidBefore($situation, $option) === null ||
            !$this->isSpring($situation)
        ) {
            return [];
        }

        return [
            match ($situation->isYes(FactName::SoilWorkable)) {
                null => Finding::unknown(FactName::SoilWorkable->value, self::SOURCE, true),
                false => Finding::notNow(
                    'second.not-workable',
                    self::SOURCE,
                    [],
                    null,
                    'change.soil-workable',
                    Certainty::Observed,
                ),
                true => Finding::fits('second.workable', self::SOURCE, [], Certainty::Observed),
            },
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (!$option->goesOn('soil')) {
            return [];
        }
        $days = [];
        foreach ($this->springs($situation, $year) as $span) {
            $days = [...$days, $span['first'], $span['last']->modify('+1 day')];
        }
        foreach ($situation->history as $past) {
            $days = [
                ...$days,
                $past->on->modify('+' . self::LEAST_DAYS . ' days'),
                $past->on->modify('+' . (self::MOST_DAYS + 1) . ' days'),
            ];
        }

        return $days;
    }

    private function laidBefore(Situation $situation, Option $option): ?PastWork
    {
        foreach ($situation->history as $past) {
            $ago = Day::between($past->on, $situation->day);
            if (
                $ago >= self::LEAST_DAYS &&
                $ago <= self::MOST_DAYS &&
                $option->catalogue->hasMethod($past->method) &&
                $option->catalogue->method($past->method)->onto() === 'soil'
            ) {
                return $past;
            }
        }

        return null;
    }

    private function isSpring(Situation $situation): bool
    {
        foreach ($this->springs($situation, Day::year($situation->day)) as $span) {
            if ($situation->day >= $span['first'] && $situation->day <= $span['last']) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{first: \DateTimeImmutable, last: \DateTimeImmutable}> */
    private function springs(Situation $situation, int $year): array
    {
        return LocalSpans::within($situation->shift, DaySpan::parse(...self::SPRING), $year);
    }
}
