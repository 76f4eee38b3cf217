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
    private const SEMI_MAJOR_METRES = 6378137.0;
    private const ECCENTRICITY_SQUARED = 0.00669437999014;
    private const LONGEST_EDGE_DEGREES = 0.01;
    private const MOST_VERTICES = 5000;

    /** @param list<list<array{float, float}>> $rings outer ring first, each closed (first position again at the end) */
    private function __construct(public array $rings)
    {
    }

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
                throw self::refused("{$pointer}/features", 'Give exactly one outline; this holds ' . (is_array($features) ? count($features) : 'none') . '.');
            }

            return self::fromGeoJson(array_values($features)[0], "{$pointer}/features/0");
        }
        if (is_array($json) && ($json['type'] ?? null) === 'Feature') {
            return self::fromGeoJson($json['geometry'] ?? null, "{$pointer}/geometry");
        }
        if (!is_array($json) || ($json['type'] ?? null) !== 'Polygon' || !is_array($json['coordinates'] ?? null) || $json['coordinates'] === []) {
            throw self::refused($pointer, 'Give a GeoJSON Polygon (or a Feature of one).');
        }
        $rings = [];
        $vertices = 0;
        foreach (array_values($json['coordinates']) as $i => $ring) {
            $rings[] = $read = self::ring($ring, "{$pointer}/coordinates/{$i}");
            $vertices += count($read);
        }
        if ($vertices > self::MOST_VERTICES) {
            throw self::refused("{$pointer}/coordinates", 'An outline has at most ' . self::MOST_VERTICES . ' corners; this has ' . $vertices . '.');
        }

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

    /** @return array{float, float, float, float} west, south, east, north */
    public function box(): array
    {
        [$west, $south] = [$east, $north] = $this->rings[0][0];
        foreach ($this->rings[0] as [$lon, $lat]) {
            [$west, $south, $east, $north] = [min($west, $lon), min($south, $lat), max($east, $lon), max($north, $lat)];
        }

        return [$west, $south, $east, $north];
    }

    /** @return array{type: string, coordinates: list<list<array{float, float}>>} */
    public function toGeoJson(): array
    {
        return ['type' => 'Polygon', 'coordinates' => $this->rings];
    }

    /** @return list<array{float, float}> */
    private static function ring(mixed $ring, string $pointer): array
    {
        if (!is_array($ring) || !array_is_list($ring)) {
            throw self::refused($pointer, 'Give a list of [longitude, latitude] positions.');
        }
        $out = [];
        foreach ($ring as $i => $position) {
            $at = "{$pointer}/{$i}";
            if (!is_array($position) || !isset($position[0], $position[1]) || !(is_int($position[0]) || is_float($position[0])) || !(is_int($position[1]) || is_float($position[1]))) {
                throw self::refused($at, 'Give [longitude, latitude] in decimal degrees.');
            }
            [$lon, $lat] = [(float) $position[0], (float) $position[1]];
            if (abs($lat) > 85 && abs($lat) <= 180 && abs($lon) <= 85) {
                throw self::refused($at, 'Latitude and longitude look swapped: longitude comes first.');
            }
            if (!is_finite($lon) || !is_finite($lat) || abs($lon) > 180 || abs($lat) > 85) {
                throw self::refused($at, 'Longitude runs from -180 to 180, latitude from -85 to 85.');
            }
            if ($out === [] || $out[count($out) - 1] !== [$lon, $lat]) {
                $out[] = [$lon, $lat];
            }
        }
        if ($out !== [] && $out[0] !== $out[count($out) - 1]) {
            $out[] = $out[0];
        }
        if (count($out) < 4) {
            throw self::refused($pointer, 'An outline needs at least three different corners.');
        }
        for ($i = 1; $i < count($out); ++$i) {
            if (abs($out[$i][0] - $out[$i - 1][0]) > 90) {
                throw self::refused("{$pointer}/{$i}", 'An outline may not cross the 180th meridian; cut it in two there.');
            }
        }
        $crossing = self::crossing($out);
        if ($crossing !== null) {
            throw self::refused("{$pointer}/{$crossing}", 'The outline crosses itself here; walk the corners in order.');
        }

        return $out;
    }

    /**
     * Index of the first edge that crosses an earlier one, else null.
     *
     * @param list<array{float, float}> $ring closed
     */
    private static function crossing(array $ring): ?int
    {
        $edges = count($ring) - 1;
        for ($i = 0; $i < $edges; ++$i) {
            for ($j = $i + 2; $j < $edges; ++$j) {
                if (($i !== 0 || $j !== $edges - 1) && self::segmentsCross($ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1])) {
                    return $j;
                }
            }
        }

        return null;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     * @param array{float, float} $d
     */
    private static function segmentsCross(array $a, array $b, array $c, array $d): bool
    {
        [$s1, $s2, $s3, $s4] = [self::side($a, $b, $c), self::side($a, $b, $d), self::side($c, $d, $a), self::side($c, $d, $b)];

        return ($s1 * $s2 < 0 && $s3 * $s4 < 0)
            || ($s1 === 0 && self::within($a, $b, $c)) || ($s2 === 0 && self::within($a, $b, $d))
            || ($s3 === 0 && self::within($c, $d, $a)) || ($s4 === 0 && self::within($c, $d, $b));
    }

    /**
     * On which side of the line from p to q the point r lies: 1 left, -1 right, 0 on it.
     *
     * @param array{float, float} $p
     * @param array{float, float} $q
     * @param array{float, float} $r
     */
    private static function side(array $p, array $q, array $r): int
    {
        return (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) <=> 0.0;
    }

    /**
     * Whether r lies in the box of p and q.
     *
     * @param array{float, float} $p
     * @param array{float, float} $q
     * @param array{float, float} $r
     */
    private static function within(array $p, array $q, array $r): bool
    {
        return min($p[0], $q[0]) <= $r[0] && $r[0] <= max($p[0], $q[0]) && min($p[1], $q[1]) <= $r[1] && $r[1] <= max($p[1], $q[1]);
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

        return $sum / 2 * $radius * $radius;
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
        return self::SEMI_MAJOR_METRES * sqrt(self::q(1.0) / 2);
    }

    /** q = (1 - e2) (s / (1 - e2 s2) - ln((1 - e s) / (1 + e s)) / 2e), with s the sine of the latitude. */
    private static function q(float $sine): float
    {
        $e = sqrt(self::ECCENTRICITY_SQUARED);

        return (1 - self::ECCENTRICITY_SQUARED) * ($sine / (1 - self::ECCENTRICITY_SQUARED * $sine * $sine) - log((1 - $e * $sine) / (1 + $e * $sine)) / (2 * $e));
    }

    private static function refused(string $pointer, string $message): Refused
    {
        return new Refused([['pointer' => $pointer, 'message' => $message]]);
    }
}
