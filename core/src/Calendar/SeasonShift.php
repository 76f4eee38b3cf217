<?php

declare(strict_types=1);

namespace Thicket\Calendar;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Moves a catalogue date (40 degrees north, 200 m) to a ground (rulings J13).
 *
 * k = 4 x ((|latitude| - 40) + (elevation m - 200) / 120) days, held within +/-30; beyond that the rule of thumb is
 * not trusted and {@see self::isTrusted()} is false until somebody gives a local date. Days to 1 May move by +k, from
 * 1 September by -k, between them by k x (1 - 2 x days since 1 May / 123), rounded to the nearest day, halves away
 * from zero. No date crosses the turn of the year, so that the order of dates is never reversed. Southern ground is
 * six calendar months on.
 */
final readonly class SeasonShift
{
    private const LIMIT_DAYS = 30;
    private const MAY_TO_SEPTEMBER_DAYS = 123;
    /** So many local days are kept in memory; a worker that lives long must not grow. */
    private const KEPT = 20_000;

    /** What a local day hangs on, beside the catalogue's day and the year. */
    private string $key;

    private function __construct(
        /** Spring shift in days, later is positive; a local observation replaces the rule of thumb. */
        public BigRational $springDays,
        public bool $southern,
        public bool $isTrusted,
        /** Where the shift comes from: 'place' (rule of thumb) or 'observed'. */
        public string $source,
        /** The rule of thumb before it is held within its limit; null where somebody's own date speaks. */
        private ?BigRational $ofPlace = null,
    ) {
        $this->key = ($southern ? 'south ' : 'north ') . $springDays . ' ';
    }

    /**
     * @param string $latitude decimal degrees, south negative
     * @param string $elevationMetres decimal metres above the sea
     */
    public static function forPlace(string $latitude, string $elevationMetres): self
    {
        $degrees = BigRational::of($latitude);
        $k = $degrees
            ->abs()
            ->minus(40)
            ->plus(BigRational::of($elevationMetres)->minus(200)->dividedBy(120))
            ->multipliedBy(4)
            ->simplified();

        return self::held($k, $degrees->isNegative());
    }

    /**
     * The shift for a plant whose dates hold elsewhere than at 40 degrees and 200 m (rulings J44); its thirty days
     * count from there. A date that somebody saw stays as it is.
     *
     * @param string $latitude where its dates hold, decimal degrees, without sign
     * @param string $elevationMetres there
     */
    public function countedFrom(string $latitude, string $elevationMetres): self
    {
        if ($this->ofPlace === null) {
            return $this;
        }
        $base = BigRational::of($latitude)
            ->minus(40)
            ->plus(BigRational::of($elevationMetres)->minus(200)->dividedBy(120))
            ->multipliedBy(4);

        return self::held($this->ofPlace->minus($base)->simplified(), $this->southern);
    }

    private static function held(BigRational $k, bool $southern): self
    {
        $trusted = $k->abs()->isLessThanOrEqualTo(self::LIMIT_DAYS);

        return new self(
            $trusted ? $k : BigRational::of($k->isPositive() ? self::LIMIT_DAYS : -self::LIMIT_DAYS),
            $southern,
            $trusted,
            'place',
            $k,
        );
    }

    /**
     * A recorded local date of a spring event ("leaf-out seen 21 April") overrides the rule of thumb for spring and,
     * mirrored, for autumn (handbook 1). Held within +/-30 days like the rule itself; the date is somebody's own, so it
     * is trusted.
     */
    public function seenOn(\DateTimeImmutable $seen, MonthDay $catalogue): self
    {
        $northern = $this->southern ? Day::plusMonths($seen, -6) : $seen;
        $days = Day::between($catalogue->inYear(Day::year($northern)), $northern);

        return new self(
            BigRational::of(max(-self::LIMIT_DAYS, min(self::LIMIT_DAYS, $days))),
            $this->southern,
            true,
            'observed',
        );
    }

    public static function none(): self
    {
        return new self(BigRational::zero(), false, true, 'place');
    }

    /** The catalogue day of this year at this ground; northern year, six months on in the south. */
    public function local(MonthDay $day, int $year): \DateTimeImmutable
    {
        /** @var array<string, \DateTimeImmutable> $known every row of a board and of a year asks for the same few */
        static $known = [];
        $key = "{$this->key}{$day->month}-{$day->day} {$year}";
        if (!isset($known[$key])) {
            count($known) < self::KEPT || ($known = []);
            $known[$key] = $this->moved($day, $year);
        }

        return $known[$key];
    }

    private function moved(MonthDay $day, int $year): \DateTimeImmutable
    {
        $catalogue = $day->inYear($year);
        $may = Day::of($year, 5, 1);
        $since = Day::between($may, $catalogue);
        $move = match (true) {
            $since <= 0 => $this->springDays,
            $since >= self::MAY_TO_SEPTEMBER_DAYS => $this->springDays->negated(),
            default => $this->springDays->multipliedBy(
                BigRational::one()->minus(BigRational::of(2 * $since)->dividedBy(self::MAY_TO_SEPTEMBER_DAYS)),
            ),
        };
        $days = $move->toScale(0, RoundingMode::HALF_UP)->toInt();
        $local = $catalogue->modify(($days < 0 ? '' : '+') . $days . ' days');
        if (Day::year($local) !== $year) {
            $local = Day::year($local) < $year ? Day::of($year, 1, 1) : Day::of($year, 12, 31);
        }

        return $this->southern ? Day::plusMonths($local, 6) : $local;
    }
}
