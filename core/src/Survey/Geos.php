<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * The one place that speaks to the GEOS extension: plain lists of points in, plain lists out. Coordinates are whatever
 * the caller works in (degrees where corners must stay exactly what they were, metres of a LocalPlane for widths).
 *
 * @internal
 */
final class Geos
{
    private const QUARTER_SEGMENTS = 16;

    private function __construct() {}

    /** @param list<list<array{float, float}>> $rings closed, outer first */
    public static function polygon(array $rings): \GEOSGeometry
    {
        return self::read('POLYGON(' . implode(',', array_map(self::text(...), $rings)) . ')');
    }

    /** @param list<array{float, float}> $points */
    public static function line(array $points): \GEOSGeometry
    {
        return self::read('LINESTRING' . self::text($points));
    }

    /** @param array{float, float} $point */
    public static function point(array $point): \GEOSGeometry
    {
        return self::read('POINT' . self::text([$point]));
    }

    /** @throws \RuntimeException on text that is no geometry */
    public static function read(string $wellKnownText): \GEOSGeometry
    {
        return (new \GEOSWKTReader())->read($wellKnownText);
    }

    /** Grown by that width, or shrunk where it is negative; round corners. */
    public static function buffer(\GEOSGeometry $shape, float $width): \GEOSGeometry
    {
        return $shape->buffer($width, ['quad_segs' => self::QUARTER_SEGMENTS]);
    }

    /**
     * What goes over along a line of that width: cut off square at both ends, round where it bends. Built up from its
     * stretches, for the extension forgets the kind of end that it was asked for from one buffer to the next.
     *
     * @param list<array{float, float}> $points two and more, no two the same
     */
    public static function swath(array $points, float $width): \GEOSGeometry
    {
        $half = $width / 2;
        $all = null;
        for ($i = 1; $i < count($points); ++$i) {
            [[$x1, $y1], [$x2, $y2]] = [$points[$i - 1], $points[$i]];
            $length = hypot($x2 - $x1, $y2 - $y1);
            [$dx, $dy] = [(-($y2 - $y1) / $length) * $half, (($x2 - $x1) / $length) * $half];
            $corner = [$x1 + $dx, $y1 + $dy];
            $piece = self::polygon([
                [$corner, [$x2 + $dx, $y2 + $dy], [$x2 - $dx, $y2 - $dy], [$x1 - $dx, $y1 - $dy], $corner],
            ]);
            $all = $all === null ? $piece : $all->union($piece)->union(self::buffer(self::point([$x1, $y1]), $half));
        }

        return $all ?? throw new \LogicException('A line has two points.');
    }

    /**
     * The lines of a result, each as its points; points that a cut leaves over are dropped.
     *
     * @return list<list<array{float, float}>>
     */
    public static function lines(\GEOSGeometry $shape): array
    {
        if ($shape->isEmpty()) {
            return [];
        }
        if ($shape->typeName() === 'LineString') {
            return [self::points($shape)];
        }
        $out = [];
        if (in_array($shape->typeName(), ['MultiLineString', 'GeometryCollection'], true)) {
            for ($i = 0; $i < $shape->numGeometries(); ++$i) {
                $out = [...$out, ...self::lines($shape->geometryN($i))];
            }
        }

        return $out;
    }

    /**
     * A line without the positions that lie nearer than so much to what is left (Douglas and Peucker).
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    public static function thinned(array $points, float $tolerance): array
    {
        return self::points(self::line($points)->simplify($tolerance));
    }

    /**
     * Where and why a polygon is broken; null where it is sound.
     *
     * @return array{reason: string, at: array{float, float}|null}|null
     */
    public static function fault(\GEOSGeometry $polygon): ?array
    {
        $verdict = $polygon->checkValidity();
        if ($verdict['valid']) {
            return null;
        }
        $at = $verdict['location'] ?? null;

        return ['reason' => $verdict['reason'] ?? '', 'at' => $at === null ? null : [$at->getX(), $at->getY()]];
    }

    /**
     * The polygons of a result, each as its rings; lines and points that a cut leaves over are dropped.
     *
     * @return list<list<list<array{float, float}>>>
     */
    public static function polygons(\GEOSGeometry $shape): array
    {
        if ($shape->isEmpty()) {
            return [];
        }
        if ($shape->typeName() === 'Polygon') {
            $rings = [self::points($shape->exteriorRing())];
            for ($i = 0; $i < $shape->numInteriorRings(); ++$i) {
                $rings[] = self::points($shape->interiorRingN($i));
            }

            return [$rings];
        }
        $out = [];
        if (in_array($shape->typeName(), ['MultiPolygon', 'GeometryCollection'], true)) {
            for ($i = 0; $i < $shape->numGeometries(); ++$i) {
                $out = [...$out, ...self::polygons($shape->geometryN($i))];
            }
        }

        return $out;
    }

    /** @return list<array{float, float}> */
    public static function points(\GEOSGeometry $line): array
    {
        $out = [];
        for ($i = 0; $i < $line->numPoints(); ++$i) {
            $point = $line->pointN($i);
            $out[] = [$point->getX(), $point->getY()];
        }

        return $out;
    }

    /** @param list<array{float, float}> $points */
    private static function text(array $points): string
    {
        // 17 significant digits give every float back exactly
        return '(' .
            implode(',', array_map(static fn(array $p): string => sprintf('%.17G %.17G', $p[0], $p[1]), $points)) .
            ')';
    }
}
