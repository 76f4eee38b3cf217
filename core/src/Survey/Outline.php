<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * The outline of a patch: one ring of WGS 84 positions, longitude first, and holes. Area on the ellipsoid: authalic
 * latitude and a cylindrical equal-area projection relative to the first vertex, long edges densified along the great
 * circle, then the plane formula (rulings B23; the authalic sphere is the textbook one: q(sine) below over its value at
 * the pole gives the sine of the authalic latitude). Floats by nature of geometry; good to 0.1 % from 10 m2 to 100 km2.
 */
final readonly class Outline
{
    private const LONGEST_EDGE_DEGREES = 0.01;
    /** A far-off view shows a patch no finer than this share of its width. */
    private const COARSE_STEPS = 25;

    /** @param list<list<array{float, float}>> $rings outer ring first, each closed (first position again at the end) */
    private function __construct(public array $rings) {}

    /**
     * Reads a GeoJSON Polygon, a Feature of one, or a FeatureCollection of one feature.
     *
     * @throws Refused with the pointer of what is wrong and how to mend it
     */
    public static function fromGeoJson(mixed $json, string $pointer = ''): self
    {
        if (is_array($json) && ($json['type'] ?? null) === 'FeatureCollection') {
            $features = $json['features'] ?? null;
            if (!is_array($features) || count($features) !== 1) {
                throw Refused::at(
                    "{$pointer}/features",
                    'Give exactly one outline; this holds ' . (is_array($features) ? count($features) : 'none') . '.',
                );
            }

            return self::fromGeoJson(array_values($features)[0], "{$pointer}/features/0");
        }
        if (is_array($json) && ($json['type'] ?? null) === 'Feature') {
            return self::fromGeoJson($json['geometry'] ?? null, "{$pointer}/geometry");
        }
        if (
            !is_array($json) ||
            ($json['type'] ?? null) !== 'Polygon' ||
            !is_array($json['coordinates'] ?? null) ||
            $json['coordinates'] === []
        ) {
            throw Refused::at($pointer, 'Give a GeoJSON Polygon (or a Feature of one).');
        }
        $rings = [];
        $vertices = 0;
        foreach (array_values($json['coordinates']) as $i => $ring) {
            $rings[] = $read = self::ring($ring, "{$pointer}/coordinates/{$i}");
            $vertices += count($read);
        }
        if ($vertices > Shape::MOST_POSITIONS) {
            throw Refused::at(
                "{$pointer}/coordinates",
                'An outline has at most ' . Shape::MOST_POSITIONS . ' corners; this has ' . $vertices . '.',
            );
        }

        self::mustBeSound($rings, "{$pointer}/coordinates");

        return new self($rings);
    }

    /**
     * An outline that was read and found sound before: what is stored, and what GEOS cut from sound outlines.
     *
     * @param list<list<array{float, float}>> $rings closed, outer first
     */
    public static function trusted(array $rings): self
    {
        return new self($rings);
    }

    /** Rounded to a hundredth of a square metre; areas in text take four significant digits. */
    public function area(): Quantity
    {
        $area = 0.0;
        foreach ($this->rings as $i => $ring) {
            $area += ($i === 0 ? 1 : -1) * abs(self::ringArea($ring));
        }

        return Quantity::of(number_format(max(0.0, $area), 2, '.', ''), Unit::SquareMetre);
    }

    /** The same ground with few corners and no holes, for far-off views; never for sums. */
    public function coarse(): self
    {
        [$west, $south, $east, $north] = $this->box();
        $simple = Geos::polygons(
            Geos::polygon([$this->rings[0]])->simplify(max($east - $west, $north - $south) / self::COARSE_STEPS, true),
        );
        $ring = array_map(
            static fn(array $p): array => [round($p[0], 6), round($p[1], 6)],
            $simple[0][0] ?? $this->rings[0],
        );

        return new self([$ring]);
    }

    /** @return array{float, float, float, float} west, south, east, north */
    public function box(): array
    {
        return Positions::box($this->rings[0]);
    }

    /** @return array{type: string, coordinates: list<list<array{float, float}>>} */
    public function toGeoJson(): array
    {
        return ['type' => 'Polygon', 'coordinates' => $this->rings];
    }

    /** @return list<array{float, float}> closed */
    private static function ring(mixed $ring, string $pointer): array
    {
        $out = Positions::line($ring, $pointer);
        if ($out !== [] && $out[0] !== $out[count($out) - 1]) {
            $out[] = $out[0];
        }
        if (count($out) < 4) {
            throw Refused::at($pointer, 'An outline needs at least three different corners.');
        }

        return $out;
    }

    /**
     * Refuses rings that cross themselves or one another, and holes that lie outside.
     *
     * @param list<list<array{float, float}>> $rings
     */
    private static function mustBeSound(array $rings, string $pointer): void
    {
        $fault = Geos::fault(Geos::polygon($rings));
        if ($fault === null) {
            return;
        }
        if (str_contains($fault['reason'], 'Hole') || str_contains($fault['reason'], 'Nested')) {
            throw Refused::at("{$pointer}/1", 'A hole must lie inside the outline, and holes apart from one another.');
        }
        [$ring, $edge] = self::lastEdgeAt($rings, $fault['at'] ?? $rings[0][0]);
        throw Refused::at("{$pointer}/{$ring}/{$edge}", 'The outline crosses itself here; walk the corners in order.');
    }

    /**
     * Ring and index of the last edge that passes through a place.
     *
     * @param list<list<array{float, float}>> $rings
     * @param array{float, float} $at
     *
     * @return array{int, int}
     */
    private static function lastEdgeAt(array $rings, array $at): array
    {
        $best = [0, 0];
        $least = INF;
        foreach ($rings as $r => $ring) {
            for ($i = 0; $i < count($ring) - 1; ++$i) {
                $away = Nearest::onSegment($at, $ring[$i], $ring[$i + 1])['distance'];
                if ($away <= $least + 1e-12) {
                    [$best, $least] = [[$r, $i], min($least, $away)];
                }
            }
        }

        return $best;
    }

    /** @param list<array{float, float}> $ring */
    private static function ringArea(array $ring): float
    {
        $radius = self::authalicRadius();
        [$lon0, $lat0] = $ring[0];
        $y0 = self::sinAuthalic($lat0);
        $sum = 0.0;
        $last = null;
        foreach (self::densified($ring) as [$lon, $lat]) {
            $point = [deg2rad($lon - $lon0), self::sinAuthalic($lat) - $y0];
            if ($last !== null) {
                $sum += $last[0] * $point[1] - $point[0] * $last[1];
            }
            $last = $point;
        }

        return ($sum / 2) * $radius * $radius;
    }

    /**
     * @param list<array{float, float}> $ring
     *
     * @return list<array{float, float}>
     */
    private static function densified(array $ring): array
    {
        $out = [$ring[0]];
        for ($i = 1; $i < count($ring); ++$i) {
            [$a, $b] = [$ring[$i - 1], $ring[$i]];
            $pieces = (int) ceil(max(abs($b[0] - $a[0]), abs($b[1] - $a[1])) / self::LONGEST_EDGE_DEGREES);
            for ($k = 1; $k < $pieces; ++$k) {
                $out[] = self::onGreatCircle($a, $b, $k / $pieces);
            }
            $out[] = $b;
        }

        return $out;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     *
     * @return array{float, float}
     */
    private static function onGreatCircle(array $a, array $b, float $part): array
    {
        [$u, $v] = [self::vector($a), self::vector($b)];
        $angle = acos(max(-1.0, min(1.0, $u[0] * $v[0] + $u[1] * $v[1] + $u[2] * $v[2])));
        if ($angle < 1e-12) {
            return $a;
        }
        $w = [];
        foreach ([0, 1, 2] as $i) {
            $w[$i] = (sin((1 - $part) * $angle) * $u[$i] + sin($part * $angle) * $v[$i]) / sin($angle);
        }

        return [rad2deg(atan2($w[1], $w[0])), rad2deg(atan2($w[2], hypot($w[0], $w[1])))];
    }

    /**
     * @param array{float, float} $position
     *
     * @return array{float, float, float} on the unit sphere
     */
    private static function vector(array $position): array
    {
        [$lon, $lat] = [deg2rad($position[0]), deg2rad($position[1])];

        return [cos($lat) * cos($lon), cos($lat) * sin($lon), sin($lat)];
    }

    private static function sinAuthalic(float $latitude): float
    {
        return self::q(sin(deg2rad($latitude))) / self::q(1.0);
    }

    private static function authalicRadius(): float
    {
        return Ellipsoid::SEMI_MAJOR_METRES * sqrt(self::q(1.0) / 2);
    }

    /** q = (1 - e2) (s / (1 - e2 s2) - ln((1 - e s) / (1 + e s)) / 2e), with s the sine of the latitude. */
    private static function q(float $sine): float
    {
        $e = sqrt(Ellipsoid::ECCENTRICITY_SQUARED);

        return (1 - Ellipsoid::ECCENTRICITY_SQUARED) *
            ($sine / (1 - Ellipsoid::ECCENTRICITY_SQUARED * $sine * $sine) -
                log((1 - $e * $sine) / (1 + $e * $sine)) / (2 * $e));
    }
}
