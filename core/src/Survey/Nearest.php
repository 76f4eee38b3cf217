<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * The shortest way from one shape to another, with its direction. Two shapes that do not touch come nearest at a corner
 * of one of them, so corners of each against edges of the other, in a LocalPlane, find it; nought where they meet or
 * one lies in the other. Floats by nature of geometry; the distance is rounded to the centimetre.
 */
final readonly class Nearest
{
    private function __construct(
        public Quantity $distance,
        /** Degrees clockwise from north, from the first shape to the second; null where they meet. */
        public ?float $bearing,
    ) {}

    public static function between(Shape $from, Shape $to): self
    {
        $plane = LocalPlane::ofBox($from->box());
        $here = array_map($plane->allMetres(...), $from->parts);
        $there = array_map($plane->allMetres(...), $to->parts);
        if (self::inside($here, $from, $there[0][0]) || self::inside($there, $to, $here[0][0])) {
            return new self(Quantity::of('0', Unit::Metre), null);
        }
        $best = ['distance' => INF, 'from' => [0.0, 0.0], 'to' => [0.0, 0.0]];
        foreach ([[$here, $there, false], [$there, $here, true]] as [$corners, $edges, $turned]) {
            foreach ($corners as $part) {
                foreach ($part as $corner) {
                    foreach ($edges as $line) {
                        $found = self::toLine($corner, $line);
                        if ($found['distance'] < $best['distance']) {
                            $best =
                                ['distance' => $found['distance']] +
                                ($turned
                                    ? ['from' => $found['at'], 'to' => $corner]
                                    : ['from' => $corner, 'to' => $found['at']]);
                        }
                    }
                }
            }
        }
        if ($from->type !== 'Point' && $to->type !== 'Point' && $best['distance'] > 0 && self::cross($here, $there)) {
            return new self(Quantity::of('0', Unit::Metre), null);
        }
        $bearing = rad2deg(atan2($best['to'][0] - $best['from'][0], $best['to'][1] - $best['from'][1]));

        return new self(
            Quantity::of(number_format($best['distance'], 2, '.', ''), Unit::Metre),
            $best['distance'] < 0.005 ? null : fmod($bearing + 360, 360),
        );
    }

    /**
     * The place on a segment nearest to a point, in the units of the coordinates.
     *
     * @param array{float, float} $point
     * @param array{float, float} $a
     * @param array{float, float} $b
     *
     * @return array{distance: float, at: array{float, float}}
     */
    public static function onSegment(array $point, array $a, array $b): array
    {
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $long = $dx * $dx + $dy * $dy;
        $part =
            $long === 0.0 ? 0.0 : max(0.0, min(1.0, (($point[0] - $a[0]) * $dx + ($point[1] - $a[1]) * $dy) / $long));
        $at = [$a[0] + $part * $dx, $a[1] + $part * $dy];

        return ['distance' => hypot($point[0] - $at[0], $point[1] - $at[1]), 'at' => $at];
    }

    /**
     * @param array{float, float} $point
     * @param list<array{float, float}> $line
     *
     * @return array{distance: float, at: array{float, float}}
     */
    private static function toLine(array $point, array $line): array
    {
        $best = ['distance' => hypot($point[0] - $line[0][0], $point[1] - $line[0][1]), 'at' => $line[0]];
        for ($i = 1; $i < count($line); ++$i) {
            $found = self::onSegment($point, $line[$i - 1], $line[$i]);
            if ($found['distance'] < $best['distance']) {
                $best = $found;
            }
        }

        return $best;
    }

    /**
     * @param list<list<array{float, float}>> $parts
     * @param array{float, float} $point
     */
    private static function inside(array $parts, Shape $shape, array $point): bool
    {
        return $shape->type === 'Polygon' && Geos::polygon($parts)->intersects(Geos::point($point));
    }

    /**
     * @param list<list<array{float, float}>> $here
     * @param list<list<array{float, float}>> $there
     */
    private static function cross(array $here, array $there): bool
    {
        foreach ($here as $line) {
            foreach ($there as $other) {
                if (Geos::line($line)->intersects(Geos::line($other))) {
                    return true;
                }
            }
        }

        return false;
    }
}
