<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Position\Fix;

/**
 * Outlines from measures taken on the ground (handbook 6): a circle, length x width, legs by pace and compass, a walked
 * track.
 */
final class Tracing
{
    private const CIRCLE_CORNERS = 64;
    /** A receiver says how good a fix is; above this its position is worth less than the outline needs. */
    private const WORST_DILUTION = 5.0;
    /** Nobody walks an edge faster. */
    private const FASTEST_METRES_PER_SECOND = 4.0;
    private const WALK_TOLERANCE_METRES = 0.75;
    private const LEAST_STEP_METRES = 1.0;
    /** A traverse that ends further from its start than this share of its length was mismeasured. */
    private const WORST_MISCLOSURE = 0.05;

    private function __construct() {}

    /** What somebody typed as a number of paces ("40", "40 paces"), as a length; null where it reads otherwise. */
    public static function paced(string $typed, Quantity $pace): ?Quantity
    {
        return preg_match('/^\s*(\d{1,5}(?:\.\d{1,2})?)\s*(paces?)?\s*$/D', $typed, $paces) === 1
            ? $pace->times($paces[1])
            : null;
    }

    /**
     * A circle as an outline of 64 corners with exactly the circle's area.
     *
     * @param array{float, float} $centre
     */
    public static function circle(array $centre, Quantity $radius): Outline
    {
        $plane = new LocalPlane($centre);
        $turn = (2 * M_PI) / self::CIRCLE_CORNERS;
        // the corners stand a little outside the circle, so that the cut-off slices even out
        $out = $radius->in(Unit::Metre)->toFloat() * sqrt($turn / sin($turn));
        $ring = [];
        for ($i = 0; $i < self::CIRCLE_CORNERS; ++$i) {
            $ring[] = $plane->position([$out * sin($i * $turn), $out * cos($i * $turn)]);
        }

        return Outline::trusted([[...$ring, $ring[0]]]);
    }

    /**
     * A rectangle from one corner: the length runs along the bearing, the width to the right of it.
     *
     * @param array{float, float} $corner
     * @param float $bearing degrees clockwise from north
     */
    public static function rectangle(array $corner, Quantity $length, Quantity $width, float $bearing): Outline
    {
        $plane = new LocalPlane($corner);
        $turn = deg2rad($bearing);
        [$l, $w] = [$length->in(Unit::Metre)->toFloat(), $width->in(Unit::Metre)->toFloat()];
        $along = [$l * sin($turn), $l * cos($turn)];
        $across = [$w * cos($turn), -$w * sin($turn)];
        $ring = array_map($plane->position(...), [
            [0.0, 0.0],
            $along,
            [$along[0] + $across[0], $along[1] + $across[1]],
            $across,
        ]);

        return Outline::trusted([[...$ring, $ring[0]]]);
    }

    /**
     * A traverse of legs back to its start; what is left open is shared out over the legs by their length.
     *
     * @param array{float, float} $start
     * @param list<array{length: Quantity, bearing: float}> $legs
     *
     * @return array{outline: Outline, misclosure: Quantity} how far the legs missed the start
     *
     * @throws Refused where they miss it by more than a twentieth of the way, or cross
     */
    public static function legs(array $start, array $legs): array
    {
        $plane = new LocalPlane($start);
        $at = [0.0, 0.0];
        $points = [$at];
        $walked = [0.0];
        foreach ($legs as $leg) {
            $long = $leg['length']->in(Unit::Metre)->toFloat();
            $at = [$at[0] + $long * sin(deg2rad($leg['bearing'])), $at[1] + $long * cos(deg2rad($leg['bearing']))];
            $points[] = $at;
            $walked[] = end($walked) + $long;
        }
        $whole = max(1e-9, end($walked));
        $miss = hypot($at[0], $at[1]);
        if (count($legs) < 3) {
            throw Refused::at('/legs', 'Three legs at least go round a patch.');
        }
        if ($miss > self::WORST_MISCLOSURE * $whole) {
            throw Refused::at(
                '/legs',
                'The legs end ' . number_format($miss, 1) . ' m from where they began; check paces and bearings.',
            );
        }
        $ring = [];
        foreach (array_slice($points, 0, -1) as $i => $point) {
            $share = $walked[$i] / $whole;
            $ring[] = $plane->position([$point[0] - $share * $at[0], $point[1] - $share * $at[1]]);
        }

        return [
            'outline' => Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [[...$ring, $ring[0]]]], '/legs'),
            'misclosure' => Quantity::of(number_format($miss, 2, '.', ''), Unit::Metre),
        ];
    }

    /**
     * A walked edge: weak fixes and jumps are left out, standing about is thinned, the ring is closed.
     *
     * @param list<Fix> $fixes in order of time
     *
     * @return array{outline: Outline, used: int, weak: int, jumps: int}
     *
     * @throws Refused where too little is left or the walk crosses itself
     */
    public static function walk(array $fixes): array
    {
        $good = [];
        $weak = $jumps = 0;
        foreach ($fixes as $fix) {
            if ($fix->dilution !== null && $fix->dilution > self::WORST_DILUTION) {
                ++$weak;
                continue;
            }
            $last = end($good);
            if ($last instanceof Fix && self::isJump($last, $fix)) {
                ++$jumps;
                continue;
            }
            $good[] = $fix;
        }
        if (count($good) < 3) {
            throw Refused::at(
                '/walk',
                'Too few good positions (' .
                    count($good) .
                    ' of ' .
                    count($fixes) .
                    '); wait for a better fix and walk the edge again.',
            );
        }
        $plane = new LocalPlane($good[0]->position);
        $points = [];
        foreach ($good as $fix) {
            $point = $plane->metres($fix->position);
            $last = end($points);
            if ($last === false || hypot($point[0] - $last[0], $point[1] - $last[1]) >= self::LEAST_STEP_METRES) {
                $points[] = $point;
            }
        }
        $line =
            count($points) > 2
                ? Geos::points(Geos::line([...$points, $points[0]])->simplify(self::WALK_TOLERANCE_METRES, false))
                : $points;
        $ring = $plane->allPositions($line);

        return [
            'outline' => Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$ring]], '/walk'),
            'used' => count($good),
            'weak' => $weak,
            'jumps' => $jumps,
        ];
    }

    private static function isJump(Fix $from, Fix $to): bool
    {
        $seconds = max(1.0, (float) $to->at->format('U.u') - (float) $from->at->format('U.u'));

        return Ellipsoid::inverse($from->position, $to->position)['distance'] / $seconds >
            self::FASTEST_METRES_PER_SECOND;
    }
}
