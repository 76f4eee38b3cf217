<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Situation;

/**
 * The growing season of new native grass round a day: till when it is mown and grazed, and when both open again
 * (handbook 2, 4, 6). Days are moved by the season shift.
 */
final readonly class NewGrassSeason
{
    /** When growth starts (our guess; a leaf-out seen moves it). */
    public const STARTS = '04-01';
    public const MOWING_ENDS = '08-01';
    public const GRAZING_ENDS = '08-15';
    /** One day with stock a week, begun weeks whole (handbook 2). */
    private const DAYS_A_GRAZING = 7;

    private function __construct(
        public \DateTimeImmutable $starts,
        public \DateTimeImmutable $mowingEnds,
        public \DateTimeImmutable $grazingEnds,
        /** First day of the season after. */
        public \DateTimeImmutable $opensAgain,
    ) {}

    public static function is(Situation $situation): bool
    {
        return $situation->word(FactName::Setting) === 'new-native-grass';
    }

    /** The season that the day belongs to, which may have begun in the calendar year before. */
    public static function around(Situation $situation): self
    {
        $starts = $situation->day;
        foreach ([-2, -1, 0] as $back) {
            $start = $situation->shift->local(MonthDay::parse(self::STARTS), Day::year($situation->day) + $back);
            $starts = $start <= $situation->day ? $start : $starts;
        }

        return self::from($situation, $starts);
    }

    /** The season that begins when this one is over. */
    public function after(Situation $situation): self
    {
        return self::from($situation, $this->opensAgain);
    }

    /** Weeds are mown from that height on. */
    public static function weedsFrom(): Quantity
    {
        return Quantity::of(12, Unit::Inch);
    }

    /** Never mown shorter. */
    public static function neverBelow(): Quantity
    {
        return Quantity::of(6, Unit::Inch);
    }

    /** Days with stock between two days at most, one in each week that begins. */
    public static function grazingDays(\DateTimeImmutable $first, \DateTimeImmutable $last): int
    {
        return intdiv(Day::between($first, $last) + self::DAYS_A_GRAZING, self::DAYS_A_GRAZING);
    }

    private static function from(Situation $situation, \DateTimeImmutable $starts): self
    {
        return new self(
            $starts,
            self::next($situation, $starts, self::MOWING_ENDS),
            self::next($situation, $starts, self::GRAZING_ENDS),
            self::next($situation, $starts->modify('+1 day'), self::STARTS),
        );
    }

    /** First local day of that name on or after a day. */
    private static function next(Situation $situation, \DateTimeImmutable $from, string $day): \DateTimeImmutable
    {
        for ($year = Day::year($from) - 1; ; ++$year) {
            $local = $situation->shift->local(MonthDay::parse($day), $year);
            if ($local >= $from) {
                return $local;
            }
        }
    }
}
