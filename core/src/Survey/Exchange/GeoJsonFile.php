<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;

/**
 * GeoJSON (RFC 7946): a FeatureCollection, a Feature or a bare geometry. Pieces of a Multi geometry come one by one.
 */
final class GeoJsonFile
{
    private const DEEPEST = 40;

    /** EPSG codes of longitude and latitude; those of North America and Europe lie within a metre or two of WGS 84. */
    private const WORLDWIDE = ['4326', '4979', '4269', '4258'];

    private function __construct() {}

    /**
     * One document, or one a line (newline-delimited, or a text sequence of RFC 8142).
     *
     * @return \Generator<int, Entry>
     *
     * @throws Refused
     */
    public static function read(string $text, FileBudget $budget): \Generator
    {
        // what there is too much of is seen before anything is unfolded: every position and every list opens a bracket
        if (substr_count($text, '[') > FileFormat::MOST_POSITIONS + 8 * FileFormat::MOST_ENTRIES) {
            $budget->positions(FileFormat::MOST_POSITIONS + 1);
        }
        $json = json_decode($text, true, self::DEEPEST);
        $row = 0;
        if (is_array($json)) {
            foreach (self::features($json) as $feature) {
                yield from self::feature(++$row, $feature, $budget);
            }

            return;
        }
        $whole = json_last_error_msg();
        $lines = preg_split('/[\x1E\r\n]+/', trim($text, "\x1E\r\n "), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (count($lines) < 2 || !is_array(json_decode($lines[0], true, self::DEEPEST))) {
            throw Refused::at('/text', "This is not readable JSON ({$whole}).");
        }
        foreach ($lines as $line) {
            $json = json_decode($line, true, self::DEEPEST);
            if (!is_array($json)) {
                $budget->entry();
                yield Entry::bad(++$row, '', 'This line is not readable JSON (' . json_last_error_msg() . ').');
                continue;
            }
            foreach (self::features($json) as $feature) {
                yield from self::feature(++$row, $feature, $budget);
            }
        }
    }

    /**
     * @param array<array-key, mixed> $json
     *
     * @return list<mixed>
     */
    private static function features(array $json): array
    {
        self::mustBeWorldwide($json);
        $features = match ($json['type'] ?? null) {
            'FeatureCollection' => $json['features'] ?? null,
            'Feature' => [$json],
            default => [['type' => 'Feature', 'geometry' => $json, 'properties' => []]],
        };

        return is_array($features) && array_is_list($features)
            ? $features
            : throw Refused::at('/text', 'The FeatureCollection has no list of features.');
    }

    /**
     * Older files name their coordinate system; only longitude and latitude of the whole Earth are read.
     *
     * @param array<array-key, mixed> $json
     */
    private static function mustBeWorldwide(array $json): void
    {
        $system =
            is_array($json['crs'] ?? null) && is_array($json['crs']['properties'] ?? null)
                ? $json['crs']['properties']
                : [];
        $named = $system['name'] ?? ($system['code'] ?? null);
        if (!is_string($named) && !is_int($named)) {
            return;
        }
        $code = strtoupper((string) $named);
        $number = preg_match('/(\d{3,6})$/D', $code, $found) === 1 ? $found[1] : '';
        if (!str_contains($code, 'CRS84') && !in_array($number, self::WORLDWIDE, true)) {
            $called = mb_strimwidth(mb_scrub((string) $named), 0, 60, '…');
            throw Refused::at(
                '/text',
                "This file is in the coordinate system {$called}; export it in WGS 84 (EPSG:4326), as longitude " .
                    'and latitude in degrees.',
            );
        }
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $features = [];
        foreach ($entries as $entry) {
            $features[] = [
                'type' => 'Feature',
                'properties' => ['name' => $entry->name] + $entry->all(),
                'geometry' => $entry->shape?->toGeoJson(),
            ];
        }

        return json_encode(
            ['type' => 'FeatureCollection', 'features' => $features],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** @return \Generator<int, Entry> */
    private static function feature(int $row, mixed $feature, FileBudget $budget): \Generator
    {
        $properties = is_array($feature) && is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
        /** @var array<string, mixed> $properties */
        $name = is_string($properties['name'] ?? null) ? $properties['name'] : '';
        unset($properties['name']);
        $geometry = is_array($feature) ? $feature['geometry'] ?? null : null;
        if (!is_array($geometry)) {
            yield Entry::bad($row, $name, 'It has no geometry.', $properties);

            return;
        }
        $pieces = self::pieces($geometry);
        if ($pieces === []) {
            yield Entry::bad($row, $name, 'Its geometry is empty.', $properties);
        }
        foreach ($pieces as $i => $piece) {
            $budget->positions(self::count($piece));
            yield Entry::read(
                $row,
                count($pieces) > 1 ? trim($name . ' ' . ($i + 1)) : $name,
                is_array($piece) ? $piece : [],
                $properties,
            );
        }
    }

    private static function count(mixed $piece): int
    {
        $coordinates = is_array($piece) && is_array($piece['coordinates'] ?? null) ? $piece['coordinates'] : [];

        return match (is_array($piece) ? $piece['type'] ?? null : null) {
            'LineString' => count($coordinates),
            'Polygon' => array_sum(
                array_map(static fn(mixed $ring): int => is_array($ring) ? count($ring) : 0, $coordinates),
            ),
            default => 1,
        };
    }

    /**
     * @param array<array-key, mixed> $geometry
     *
     * @return list<mixed>
     */
    private static function pieces(array $geometry): array
    {
        $type = is_string($geometry['type'] ?? null) ? $geometry['type'] : '';
        if ($type === 'GeometryCollection') {
            $all = is_array($geometry['geometries'] ?? null) ? $geometry['geometries'] : [];

            return array_merge(
                ...array_map(static fn(mixed $g): array => is_array($g) ? self::pieces($g) : [$g], array_values($all)),
            );
        }
        if (!str_starts_with($type, 'Multi')) {
            return [$geometry];
        }
        $parts = is_array($geometry['coordinates'] ?? null) ? array_values($geometry['coordinates']) : [];

        return array_map(static fn(mixed $part): array => ['type' => substr($type, 5), 'coordinates' => $part], $parts);
    }
}
