<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Species;
use Thicket\Season\Phenology;

/**
 * The first day on which a treatment may be judged (handbook 4 "scores", rulings J22): annuals and rosettes after 14
 * days; creeping perennials, brambles and woody plants after 12 months and not before full leaf of the first whole
 * growing season after it. Looks before that are kept as signs.
 */
final class EvaluationDate
{
    private const QUICK_DAYS = 14;
    private const SLOW_MONTHS = 12;
    /** A girdle alone takes one to two years, and so does a cactus that was sprayed (handbook 4). */
    private const LATE_MONTHS = 24;
    private const AGAIN_MONTHS = 36;

    /** @param bool $late what takes its two years: a girdle without product, a cactus sprayed */
    public static function day(
        Species $species,
        \DateTimeImmutable $treated,
        SeasonShift $shift,
        bool $late = false,
    ): \DateTimeImmutable {
        if (in_array($species->lifeCycle(), ['summer-annual', 'winter-annual', 'biennial'], true)) {
            return $treated->modify('+' . self::QUICK_DAYS . ' days');
        }
        $later = Day::plusMonths($treated, $late ? self::LATE_MONTHS : self::SLOW_MONTHS);
        $fullLeaf = self::firstWholeSeason(new Phenology($species, $shift), $treated);

        return $fullLeaf !== null && $fullLeaf > $later ? $fullLeaf : $later;
    }

    /**
     * Brambles are judged for good about three years on: what a year shows may still come back (handbook 7).
     *
     * @return \DateTimeImmutable|null null for all others
     */
    public static function again(Species $species, \DateTimeImmutable $treated): ?\DateTimeImmutable
    {
        return $species->treatmentClass() === 'bramble' ? Day::plusMonths($treated, self::AGAIN_MONTHS) : null;
    }

    private static function firstWholeSeason(Phenology $phenology, \DateTimeImmutable $treated): ?\DateTimeImmutable
    {
        foreach ([Day::year($treated) - 1, Day::year($treated), Day::year($treated) + 1] as $year) {
            $fullLeaf = $phenology->dayOf('fullLeaf', $year);
            if ($fullLeaf !== null && $fullLeaf >= $treated) {
                return $fullLeaf;
            }
        }

        return null;
    }
}
