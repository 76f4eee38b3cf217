<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\NewGrassSeason;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Mowing and flash grazing of new native grass (handbook 2, 4, 6): from 12 in of weed, never below 6 in; mowing till 1
 * August, grazing till mid-August, nothing in the first winter; both open again when growth starts. Days are moved by
 * the season shift, winters counted from sowing.
 */
final readonly class NewNativeGrass implements ChangesWithSeason
{
    private const SOURCE = 'handbook-2-mow';

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$this->concerns($situation, $option)) {
            return [];
        }
        $season = NewGrassSeason::around($situation);
        $ends = $option->how('mow') ? $season->mowingEnds : $season->grazingEnds;
        $next = $season->opensAgain;
        if ($situation->day > $ends) {
            $over = $situation->firstSeasonOver();
            $first = $over === null || $situation->day < $over;
            $values = ['last' => $ends, 'opens' => $next];

            return [
                $option->how('mow')
                    ? Finding::notNow('grass.mowing-closed', self::SOURCE, $values, $next, 'change.hand-work')
                    : Finding::notNow(
                        $first ? 'graze.first-winter' : 'graze.closed',
                        'handbook-2',
                        $values,
                        $next,
                        'change.hand-work',
                    ),
            ];
        }

        return $option->how('mow')
            ? $this->height($situation, $ends)
            : [Finding::withCare('graze.a-day-a-week', 'handbook-2', ['last' => $ends])];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (!$this->concerns($situation, $option)) {
            return [];
        }
        $days = [];
        foreach ([$year - 1, $year] as $of) {
            $days[] = $situation->shift->local(MonthDay::parse(NewGrassSeason::STARTS), $of);
            foreach ([NewGrassSeason::MOWING_ENDS, NewGrassSeason::GRAZING_ENDS] as $end) {
                $days[] = $situation->shift->local(MonthDay::parse($end), $of)->modify('+1 day');
            }
        }

        return $days;
    }

    private function concerns(Situation $situation, Option $option): bool
    {
        return NewGrassSeason::is($situation) && ($option->how('mow') || $option->method->work() === 'animals');
    }

    /** @return list<Finding> */
    private function height(Situation $situation, \DateTimeImmutable $ends): array
    {
        $never = Finding::fits('grass.never-below', self::SOURCE, ['least' => NewGrassSeason::neverBelow()]);
        $height = $situation->quantity(FactName::Height);
        $from = NewGrassSeason::weedsFrom();
        if ($height === null) {
            return [Finding::unknown('height', self::SOURCE, true), $never];
        }

        return [
            $height->isLessThan($from)
                ? Finding::notNow(
                    'grass.weeds-still-low',
                    self::SOURCE,
                    ['height' => $height, 'limit' => $from],
                    null,
                    'change.weeds-reach',
                    Certainty::Observed,
                )
                : Finding::fits(
                    'grass.mow-now',
                    self::SOURCE,
                    ['height' => $height, 'limit' => $from, 'last' => $ends],
                    Certainty::Observed,
                ),
            $never,
        ];
    }
}
