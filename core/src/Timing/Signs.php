<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Brick\Math\RoundingMode;
use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Species;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Season\Phenology;
use Thicket\Situation\Option;

/**
 * What is to be seen when after a treatment, and what is no failure (handbook 4, 7): people judge after a month and
 * treat again what was dying.
 */
final readonly class Signs
{
    /** Sooner than this a product browns leaves whether or not the root dies. */
    private const FAST_DAYS = 14;
    /** Nobody is told to wait for less. */
    private const LEAST_WAIT_DAYS = 7;

    private function __construct() {}

    /**
     * @return list<array{code: string, from: \DateTimeImmutable|null, to: \DateTimeImmutable|null}> in order of their
     *     days; without days what holds till the score
     */
    public static function of(
        Option $option,
        Species $species,
        SeasonShift $shift,
        \DateTimeImmutable $worked,
        \DateTimeImmutable $judge,
    ): array {
        $days = self::days($option);
        $signs = [];
        if ($days !== null) {
            $after = static fn(int $n): \DateTimeImmutable => $worked->add(new \DateInterval("P{$n}D"));
            $days[0] < self::LEAST_WAIT_DAYS ||
                ($signs[] = ['code' => 'sign.nothing', 'from' => $worked, 'to' => $after($days[0] - 1)]);
            $signs[] = ['code' => 'sign.shows', 'from' => $after($days[0]), 'to' => $after($days[1])];
            if ($days[0] < self::FAST_DAYS && $option->isLeafSpray() && self::livesOn($species)) {
                $signs[] = ['code' => 'sign.browning', 'from' => null, 'to' => $judge];
            }
        }
        $leafOut = self::leafOutAfter($option, $species, $shift, $worked);
        $leafOut === null || ($signs[] = ['code' => 'sign.leaf-out', 'from' => $leafOut, 'to' => null]);
        if (
            self::livesOn($species) &&
            ($option->goesOn('stump') || ($option->leavesStanding() && $option->method->usesProduct()))
        ) {
            $signs[] = ['code' => 'sign.late-sprouts', 'from' => null, 'to' => $judge];
        }
        $signs[] = ['code' => 'sign.judge', 'from' => $judge, 'to' => null];

        return $signs;
    }

    /** @return array{int, int}|null days to its first and its full sign; the slowest active of the tank counts */
    private static function days(Option $option): ?array
    {
        $own = $option->method->weeksToShow();
        if ($own !== []) {
            return [$own[0] * 7, $own[count($own) - 1] * 7];
        }
        $slowest = null;
        foreach ($option->actives() as $active) {
            $days = array_map(
                static fn(Quantity $q): int => $q->in(Unit::Day)->toScale(0, RoundingMode::CEILING)->toInt(),
                $active->daysToShow(),
            );
            if ($days !== [] && ($slowest === null || $days[1] > $slowest[1])) {
                $slowest = [$days[0], $days[1]];
            }
        }

        return $slowest;
    }

    private static function livesOn(Species $species): bool
    {
        return !in_array($species->lifeCycle(), ['summer-annual', 'winter-annual', 'biennial'], true);
    }

    /** When a woody plant that was treated bare leafs out once more; null where it was treated in leaf. */
    private static function leafOutAfter(
        Option $option,
        Species $species,
        SeasonShift $shift,
        \DateTimeImmutable $worked,
    ): ?\DateTimeImmutable {
        if (!$species->isWoody() || !$option->leavesStanding() || $option->isLeafSpray()) {
            return null;
        }
        $phenology = new Phenology($species, $shift);
        $year = Day::year($worked);
        $fall = $phenology->dayOf('leafFall', $year);
        $out = $phenology->dayOf('leafOut', $year);

        return match (true) {
            $out !== null && $worked < $out => $out,
            $fall !== null && $worked >= $fall => $phenology->dayOf('leafOut', $year + 1),
            default => null,
        };
    }
}
