<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/**
 * One set of limits of a label card: what may go on ground of some sites at once, in a year, how often and how far
 * apart (rulings J7).
 */
final readonly class LabelLimit
{
    public const CALENDAR_YEAR = 'calendar-year';
    public const SEASON = 'season';
    public const ANY_365_DAYS = '365-days';
    public const YEARS = [self::CALENDAR_YEAR, self::SEASON, self::ANY_365_DAYS];
    public const KINDS = [
        Dimension::EquivalentPerArea,
        Dimension::IngredientPerArea,
        Dimension::VolumePerArea,
        Dimension::MassPerArea,
    ];

    /**
     * More than six: a limit as labels print it.
     *
     * @param list<string> $sites empty holds for every site of the card
     * @param string|null $active null holds for each active of the card
     * @param Quantity|null $perApplication of active or of product, per area
     * @param string $year one of YEARS: what the card counts a year by
     * @param int|null $applications most times in such a year
     * @param int|null $intervalDays least days from one application to the next; null where the card is silent, which
     *     is not the same as none
     */
    public function __construct(
        public array $sites,
        public ?string $active,
        public ?Quantity $perApplication,
        public ?Quantity $perYear,
        public string $year,
        public ?int $applications,
        public ?int $intervalDays,
    ) {}

    /** Reads a line that holds on some sites only; faults are noted at their fields. */
    public static function read(Fields $in, Catalogue $catalogue): self
    {
        $sites = $in->strings('sites', $catalogue->sites());
        if ($sites === [] && !$in->faults->any()) {
            $in->fault('sites', 'Say on which sites this limit holds.');
        }
        $active = $in->textOrNull('active');
        if ($active !== null && !$catalogue->hasActive($active)) {
            $in->fault('active', 'This active is not in the catalogue.');
        }
        $line = self::limits($in, $sites, $active, 'perApplication', 'perYear');
        $in->noOthers();

        return $line;
    }

    /**
     * Reads the limits that stand in a card itself or in a line of it.
     *
     * @param list<string> $sites
     */
    public static function limits(
        Fields $in,
        array $sites,
        ?string $active,
        string $perApplication,
        string $perYear,
    ): self {
        $once = self::perArea($in, $perApplication);
        $year = self::perArea($in, $perYear);
        if (
            $once !== null &&
            $year !== null &&
            $once->dimension() === $year->dimension() &&
            $once->isGreaterThan($year)
        ) {
            $in->fault($perApplication, 'One application cannot be allowed more than a year.');
        }
        foreach (['applications', 'intervalDays'] as $name) {
            $in->has($name) || $in->raw($name);
        }

        return new self(
            $sites,
            $active,
            $once,
            $year,
            $in->choiceOrNull('yearCounted', self::YEARS) ?? self::CALENDAR_YEAR,
            $in->has('applications') ? $in->int('applications', 1, 99) : null,
            $in->has('intervalDays') ? $in->int('intervalDays', 0, 1000) : null,
        );
    }

    public function holdsFor(?string $site, string $active): bool
    {
        return ($this->sites === [] || in_array($site, $this->sites, true)) &&
            ($this->active === null || $this->active === $active);
    }

    /** This line with what it does not say taken from the one for all sites. */
    public function over(self $all): self
    {
        return new self(
            $this->sites,
            $this->active,
            $this->perApplication ?? $all->perApplication,
            $this->perYear ?? $all->perYear,
            $this->perYear === null ? $all->year : $this->year,
            $this->applications ?? $all->applications,
            $this->intervalDays ?? $all->intervalDays,
        );
    }

    /**
     * First day of the year that the card counts, as of a day. A season is the calendar year in the north and starts on
     * 1 July in the south.
     *
     * @param bool $south whether the ground lies south of the equator
     */
    public static function yearBegins(string $year, \DateTimeImmutable $day, bool $south): \DateTimeImmutable
    {
        $of = Day::year($day);

        return match (true) {
            $year === self::ANY_365_DAYS => $day->modify('-364 days'),
            $year === self::SEASON && $south => Day::parse(($day->format('md') < '0701' ? $of - 1 : $of) . '-07-01'),
            default => Day::parse("{$of}-01-01"),
        };
    }

    private static function perArea(Fields $in, string $name): ?Quantity
    {
        if (!$in->has($name)) {
            $in->raw($name);

            return null;
        }
        $given = $in->reading($name, null)?->quantity;
        if ($given !== null && !in_array($given->dimension(), self::KINDS, true)) {
            return $in->fault($name, 'Give an amount per area, such as 8 kg ae/ha or 2 gal/ac.');
        }

        return $given;
    }
}
