<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Fields;
use Thicket\Input\Refused;

/** Reads positions as GeoJSON writes them, longitude first, and refuses what cannot be a place on the ground. */
final class Positions
{
    public const MOST_LATITUDE = 85;

    /** No slip of a degree is that large. */
    private const NO_DEGREES = 1000;

    private function __construct() {}

    /**
     * @return array{float, float}
     *
     * @throws Refused
     */
    public static function one(mixed $position, string $pointer): array
    {
        if (
            !is_array($position) ||
            !isset($position[0], $position[1]) ||
            !(is_int($position[0]) || is_float($position[0])) ||
            !(is_int($position[1]) || is_float($position[1]))
        ) {
            throw Refused::at($pointer, 'Give [longitude, latitude] in decimal degrees.');
        }
        [$lon, $lat] = [(float) $position[0], (float) $position[1]];
        if (abs($lat) > self::MOST_LATITUDE && abs($lat) <= 180 && abs($lon) <= self::MOST_LATITUDE) {
            throw Refused::at($pointer, 'Latitude and longitude look swapped: longitude comes first.');
        }
        if (is_finite($lon) && is_finite($lat) && max(abs($lon), abs($lat)) > self::NO_DEGREES) {
            throw Refused::at(
                $pointer,
                'These are metres of a flat map (' .
                    number_format($lon, 0, '.', '') .
                    ', ' .
                    number_format($lat, 0, '.', '') .
                    '), such as UTM or EPSG:3857; export the file in WGS 84 (EPSG:4326), as longitude and ' .
                    'latitude in degrees.',
            );
        }
        if (!is_finite($lon) || !is_finite($lat) || abs($lon) > 180 || abs($lat) > self::MOST_LATITUDE) {
            throw Refused::at($pointer, 'Longitude runs from -180 to 180, latitude from -85 to 85.');
        }

        return [$lon, $lat];
    }

    /** @return array{float, float}|null longitude, latitude; a fault is noted with the others */
    public static function read(Fields $in, string $name): ?array
    {
        try {
            return self::one($in->raw($name), "{$in->pointer}/{$name}");
        } catch (Refused $e) {
            return $in->fault($name, $e->faults[0]['message']);
        }
    }

    /**
     * @param list<array{float, float}> $positions
     *
     * @return array{float, float, float, float} west, south, east, north
     */
    public static function box(array $positions): array
    {
        [$west, $south] = [$east, $north] = $positions[0] ?? [0.0, 0.0];
        foreach ($positions as [$x, $y]) {
            [$west, $south, $east, $north] = [min($west, $x), min($south, $y), max($east, $x), max($north, $y)];
        }

        return [$west, $south, $east, $north];
    }

    /**
     * A line or ring; positions said twice in a row are taken once.
     *
     * @return list<array{float, float}>
     *
     * @throws Refused
     */
    public static function line(mixed $line, string $pointer): array
    {
        if (!is_array($line) || !array_is_list($line)) {
            throw Refused::at($pointer, 'Give a list of [longitude, latitude] positions.');
        }
        $out = [];
        foreach ($line as $i => $position) {
            $read = self::one($position, "{$pointer}/{$i}");
            if ($out === [] || $out[count($out) - 1] !== $read) {
                $out[] = $read;
            }
        }
        for ($i = 1; $i < count($out); ++$i) {
            if (abs($out[$i][0] - $out[$i - 1][0]) > 90) {
                throw Refused::at("{$pointer}/{$i}", 'A shape may not cross the 180th meridian; cut it in two there.');
            }
        }

        return $out;
    }
}
