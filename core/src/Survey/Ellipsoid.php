<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * Distances and directions on the WGS 84 ellipsoid by the mid-latitude formula: the radii of curvature at the mean
 * latitude turn small differences of latitude and longitude into metres north and east. Floats by nature of geometry;
 * good to 0.001 % up to 20 km and 0.01 % up to 100 km, at 0 to 65 degrees (tests/Core/fixtures/geodesy.json).
 * Positions are [longitude, latitude] in decimal degrees.
 */
final class Ellipsoid
{
    public const SEMI_MAJOR_METRES = 6378137.0;
    public const ECCENTRICITY_SQUARED = 0.00669437999014;

    private function __construct() {}

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     *
     * @return array{distance: float, bearing: float} metres, and degrees clockwise from north at the start
     */
    public static function inverse(array $from, array $to): array
    {
        $middle = deg2rad(($from[1] + $to[1]) / 2);
        $along = deg2rad($to[0] - $from[0]);
        $north = self::meridianRadius($middle) * deg2rad($to[1] - $from[1]) * cos($along / 2);
        $east = self::normalRadius($middle) * $along * cos($middle);
        // meridians draw together: the direction at the start differs from that in the middle by half their convergence
        $bearing = atan2($east, $north) - ($along * sin($middle)) / 2;

        return ['distance' => hypot($north, $east), 'bearing' => fmod(rad2deg($bearing) + 360, 360)];
    }

    /**
     * @param list<array{float, float}> $line
     *
     * @return float metres along the line
     */
    public static function length(array $line): float
    {
        $sum = 0.0;
        for ($i = 1; $i < count($line); ++$i) {
            $sum += self::inverse($line[$i - 1], $line[$i])['distance'];
        }

        return $sum;
    }

    /** Radius of curvature along the meridian, metres; latitude in radians. */
    public static function meridianRadius(float $latitude): float
    {
        $w = 1 - self::ECCENTRICITY_SQUARED * sin($latitude) ** 2;

        return (self::SEMI_MAJOR_METRES * (1 - self::ECCENTRICITY_SQUARED)) / $w ** 1.5;
    }

    /** Radius of curvature across the meridian, metres; latitude in radians. */
    public static function normalRadius(float $latitude): float
    {
        return self::SEMI_MAJOR_METRES / sqrt(1 - self::ECCENTRICITY_SQUARED * sin($latitude) ** 2);
    }
}
