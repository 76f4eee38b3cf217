<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Brick\Math\BigDecimal;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What a walked or driven track covers of a patch: each straight pass as wide as what is put out, cut off square at its
 * ends. Where nothing was heard for a while nobody knows what happened: the track is parted there. Worked in metres of
 * a plane round the patch (rulings B23), by GEOS.
 */
final readonly class Coverage
{
    /** Between two fixes further apart in time than this the track is parted (our guess). */
    private const GAP_SECONDS = 30;
    /** ... or further apart on the ground. */
    private const GAP_METRES = 25.0;
    /** A turn sharper than this begins another pass. */
    private const TURN_DEGREES = 50.0;
    /** Fixes nearer than this to the last are the same place. */
    private const STEP_METRES = 0.5;
    /** A pass that wavers less than this is straight. */
    private const STRAIGHT_METRES = 0.05;
    /** Slivers of shared edges. */
    private const LEAST_SQUARE_METRES = 0.5;

    /**
     * More than six: what a track makes of a patch, each part as its area and as its shapes.
     *
     * @param list<list<list<array{float, float}>>> $covered polygons of the patch that a pass went over
     * @param list<list<list<array{float, float}>>> $missed polygons that none did
     * @param list<list<list<array{float, float}>>> $twice polygons that more than one did
     */
    private function __construct(
        public Quantity $coveredArea,
        public Quantity $missedArea,
        public Quantity $twiceArea,
        /** Sure to be covered though every fix were as far off as its receiver says. */
        public Quantity $surelyCoveredArea,
        public array $covered,
        public array $missed,
        public array $twice,
        /** Places in which the track was parted, since nothing was heard between. */
        public int $parted,
    ) {}

    /**
     * @param list<list<array{float, float, int, float|null}>> $tracks of one receiver each: longitude, latitude,
     *     seconds since 1970, metres of error
     * @param Quantity $width that one pass covers
     */
    public static function of(Outline $patch, array $tracks, Quantity $width): self
    {
        $metres = $width->mustMatch(Dimension::Length)->float(Unit::Metre);
        $plane = LocalPlane::ofBox($patch->box());
        $whole = Geos::polygon(array_map($plane->allMetres(...), $patch->rings));
        $error = self::usualError(array_merge([], ...$tracks));
        // kept whole beyond the fence, so that no hair of the edge is left over
        $over = $covered = $twice = $sure = null;
        $parted = 0;
        $passes = [];
        foreach ($tracks as $track) {
            ['passes' => $of, 'gaps' => $gaps] = self::passes($plane, $track);
            $passes[] = $of;
            $parted += $gaps;
        }
        foreach (array_merge([], ...$passes) as $pass) {
            $line = Geos::thinned($pass, self::STRAIGHT_METRES);
            $wide = Geos::swath($line, $metres);
            $swath = $wide->intersection($whole);
            $over = $over === null ? $wide : $over->union($wide);
            if ($covered !== null) {
                $again = $covered->intersection($swath);
                $twice = $twice === null ? $again : $twice->union($again);
            }
            $covered = $covered === null ? $swath : $covered->union($swath);
            if ($metres > 2 * $error) {
                $narrow = Geos::swath($line, $metres - 2 * $error)->intersection($whole);
                $sure = $sure === null ? $narrow : $sure->union($narrow);
            }
        }
        $missed = $over === null ? $whole : $whole->difference($over);

        return new self(
            self::area($covered),
            self::area($missed),
            self::area($twice),
            self::area($sure),
            self::shapes($plane, $covered),
            self::shapes($plane, $missed),
            self::shapes($plane, $twice),
            $parted,
        );
    }

    /**
     * Straight passes of a track, in metres.
     *
     * @param list<array{float, float, int, float|null}> $fixes
     *
     * @return array{passes: list<non-empty-list<array{float, float}>>, gaps: int} passes of two points and more, and
     *     how often nothing was heard for too long
     */
    private static function passes(LocalPlane $plane, array $fixes): array
    {
        usort($fixes, static fn(array $a, array $b): int => $a[2] <=> $b[2]);
        $passes = [];
        $pass = [];
        $heading = $last = null;
        $gaps = 0;
        foreach ($fixes as $fix) {
            $at = $plane->metres([$fix[0], $fix[1]]);
            $before = $pass === [] ? null : $pass[count($pass) - 1];
            $step = $before === null ? 0.0 : hypot($at[0] - $before[0], $at[1] - $before[1]);
            if ($before !== null && $step < self::STEP_METRES) {
                $last = $fix[2];
                continue;
            }
            $gap = $last !== null && ($fix[2] - $last > self::GAP_SECONDS || $step > self::GAP_METRES);
            $now = $before === null ? null : atan2($at[1] - $before[1], $at[0] - $before[0]);
            $turn =
                $heading === null || $now === null
                    ? 0.0
                    : abs(rad2deg(atan2(sin($now - $heading), cos($now - $heading))));
            if ($gap) {
                ++$gaps;
                $passes[] = $pass;
                $pass = [$at];
                $now = null;
            } elseif ($turn > self::TURN_DEGREES && $before !== null) {
                $passes[] = $pass;
                $pass = [$before, $at];
            } else {
                $pass[] = $at;
            }
            [$heading, $last] = [$now ?? ($gap ? null : $heading), $fix[2]];
        }
        $passes[] = $pass;

        return [
            'passes' => array_values(array_filter($passes, static fn(array $points): bool => count($points) > 1)),
            'gaps' => $gaps,
        ];
    }

    /** @param list<array{float, float, int, float|null}> $fixes */
    private static function usualError(array $fixes): float
    {
        $errors = array_values(array_filter(array_column($fixes, 3), static fn(?float $e): bool => $e !== null));
        sort($errors);

        return $errors === [] ? 0.0 : $errors[intdiv(count($errors), 2)];
    }

    private static function area(?\GEOSGeometry $shape): Quantity
    {
        $area = $shape === null ? 0.0 : $shape->area();

        return Quantity::of(
            (string) BigDecimal::of(sprintf('%.1F', $area < self::LEAST_SQUARE_METRES ? 0.0 : $area)),
            Unit::SquareMetre,
        );
    }

    /** @return list<list<list<array{float, float}>>> */
    private static function shapes(LocalPlane $plane, ?\GEOSGeometry $shape): array
    {
        $polygons = $shape === null ? [] : Geos::polygons($shape);

        return array_values(
            array_map(
                static fn(array $rings): array => array_map($plane->allPositions(...), $rings),
                array_filter(
                    $polygons,
                    static fn(array $rings): bool => Geos::polygon($rings)->area() >= self::LEAST_SQUARE_METRES,
                ),
            ),
        );
    }
}
