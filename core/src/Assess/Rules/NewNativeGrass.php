<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Mowing and flash grazing of new native grass (handbook 2, 4, 6): from 12 in of weed, never below 6 in; mowing till 1
 * August, grazing till mid-August, nothing in the first winter; both open again when growth starts. Days are moved by
 * the season shift, winters counted from sowing.
 */
final readonly class NewNativeGrass implements ChangesWithSeason
{
    /** When growth starts (our guess; a leaf-out seen moves it). */
    private const STARTS = '04-01';
    private const MOWING_ENDS = '08-01';
    private const GRAZING_ENDS = '08-15';
    private const WEEDS_INCHES = 12;
    private const NEVER_BELOW_INCHES = 6;
    private const SOURCE = 'handbook-2-mow';

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$this->concerns($situation, $option)) {
            return [];
        }
        $season = $this->season($situation);
        $ends = $this->after($situation, $season, $option->how('mow') ? self::MOWING_ENDS : self::GRAZING_ENDS);
        $next = $this->after($situation, $season->modify('+1 day'), self::STARTS);
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
            $days[] = $situation->shift->local(MonthDay::parse(self::STARTS), $of);
            foreach ([self::MOWING_ENDS, self::GRAZING_ENDS] as $end) {
                $days[] = $situation->shift->local(MonthDay::parse($end), $of)->modify('+1 day');
            }
        }

        return $days;
    }

    private function concerns(Situation $situation, Option $option): bool
    {
        return $situation->word(FactName::Setting) === 'new-native-grass' &&
            ($option->how('mow') || $option->method->work() === 'animals');
    }

    /** The start of the growing season that the day belongs to, which may lie in the calendar year before. */
    private function season(Situation $situation): \DateTimeImmutable
    {
        $best = null;
        foreach ([-2, -1, 0] as $back) {
            $start = $situation->shift->local(MonthDay::parse(self::STARTS), Day::year($situation->day) + $back);
            $best = $start <= $situation->day ? $start : $best;
        }

        return $best ?? $situation->day;
    }

    /** First local day of that name on or after a day. */
    private function after(Situation $situation, \DateTimeImmutable $from, string $day): \DateTimeImmutable
    {
        for ($year = Day::year($from) - 1; ; ++$year) {
            $local = $situation->shift->local(MonthDay::parse($day), $year);
            if ($local >= $from) {
                return $local;
            }
        }
    }

    /** @return list<Finding> */
    private function height(Situation $situation, \DateTimeImmutable $ends): array
    {
        $least = Quantity::of(self::NEVER_BELOW_INCHES, Unit::Inch);
        $never = Finding::fits('grass.never-below', self::SOURCE, ['least' => $least]);
        $height = $situation->quantity(FactName::Height);
        $from = Quantity::of(self::WEEDS_INCHES, Unit::Inch);
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
