<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Lines to go along so that a patch is covered once: side by side, as far apart as one pass is wide, along the longest
 * edge of the patch, so that there are few turns.
 */
final class SweepLines
{
    /** More are no help to anybody who walks: then there are none. */
    private const MOST_LINES = 400;
    /** What is shorter than this is not gone along (our guess). */
    private const LEAST_METRES = 0.5;

    /** Of a line: a patch as wide as so many passes to a hair takes no further one. */
    private const HAIR = 0.001;

    private function __construct() {}

    /** @return list<list<array{float, float}>> lines of two positions each, in turn from one end and from the other */
    public static function across(Outline $patch, Quantity $width): array
    {
        $step = $width->mustMatch(Dimension::Length)->float(Unit::Metre);
        $plane = LocalPlane::ofBox($patch->box());
        $rings = array_map($plane->allMetres(...), $patch->rings);
        [$along, $across] = self::directions($rings[0]);
        [$least, $most] = self::reach($rings[0], $across);
        [$begins, $ends] = self::reach($rings[0], $along);
        $whole = Geos::polygon($rings);
        $lines = [];
        $count = (int) ceil(($most - $least) / $step - self::HAIR);
        if ($count > self::MOST_LINES) {
            return [];
        }
        for ($i = 0; $i < $count; ++$i) {
            // the last lies within the patch, over a part of the one before it; a patch narrower than a pass has one
            $last = max(($least + $most) / 2, $most - $step / 2);
            $off = min($least + ($i + 0.5) * $step, $last);
            $point = static fn(float $at): array => [
                $at * $along[0] + $off * $across[0],
                $at * $along[1] + $off * $across[1],
            ];
            $cut = $whole->intersection(Geos::line([$point($begins - 1), $point($ends + 1)]));
            $pieces = [];
            foreach (Geos::lines($cut) as $piece) {
                $ordered = [$piece[0], $piece[count($piece) - 1]];
                usort($ordered, static fn(array $a, array $b): int => self::dot($a, $along) <=> self::dot($b, $along));
                self::dot($ordered[1], $along) - self::dot($ordered[0], $along) >= self::LEAST_METRES &&
                    ($pieces[] = $ordered);
            }
            usort($pieces, static fn(array $a, array $b): int => self::dot($a[0], $along) <=> self::dot($b[0], $along));
            // back again on the next
            $pieces = $i % 2 === 1 ? array_reverse(array_map(array_reverse(...), $pieces)) : $pieces;
            $lines = [...$lines, ...$pieces];
        }

        return array_map($plane->allPositions(...), $lines);
    }

    /**
     * @param list<array{float, float}> $ring
     *
     * @return array{array{float, float}, array{float, float}} along the longest edge, and across it
     */
    private static function directions(array $ring): array
    {
        $longest = 0.0;
        $along = [1.0, 0.0];
        for ($i = 1; $i < count($ring); ++$i) {
            $edge = [$ring[$i][0] - $ring[$i - 1][0], $ring[$i][1] - $ring[$i - 1][1]];
            $length = hypot(...$edge);
            if ($length > $longest) {
                $longest = $length;
                $along = [$edge[0] / $length, $edge[1] / $length];
            }
        }

        return [$along, [-$along[1], $along[0]]];
    }

    /**
     * @param array{float, float} $p
     * @param array{float, float} $direction
     */
    private static function dot(array $p, array $direction): float
    {
        return $p[0] * $direction[0] + $p[1] * $direction[1];
    }

    /**
     * @param list<array{float, float}> $ring
     * @param array{float, float} $direction
     *
     * @return array{float, float} least and most of a ring in a direction
     */
    private static function reach(array $ring, array $direction): array
    {
        $all = array_map(static fn(array $p): float => self::dot($p, $direction), $ring);

        return $all === [] ? [0.0, 0.0] : [min($all), max($all)];
    }
}
