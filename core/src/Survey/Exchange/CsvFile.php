<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Geos;
use Thicket\Survey\Shape;

/**
 * A table with a header: one thing a row, by longitude and latitude or by a well-known-text geometry; or one corner a row, where
 * rows of one name are the corners of one outline. Other columns are properties.
 */
final class CsvFile
{
    /** Our fields and the headers that are taken for them when nobody matches columns by hand. */
    public const FIELDS = [
        'name' => ['name', 'title', 'label', 'patch'],
        'geometry' => ['geometry', 'wkt', 'shape', 'the_geom'],
        'longitude' => ['longitude', 'lon', 'lng', 'long', 'x'],
        'latitude' => ['latitude', 'lat', 'y'],
        'corner' => ['corner', 'vertex', 'point_number', 'order'],
    ];
    /** Cells that a spreadsheet would run as a formula get an apostrophe, which reading takes off again. */
    private const FORMULA = '/^[=+@\-\t\r]/';

    private function __construct()
    {
    }

    /** @return list<string> headers of the file, for matching */
    public static function headers(string $text): array
    {
        return self::table($text)[0] ?? [];
    }

    /**
     * @param list<string> $headers
     *
     * @return array<string, string> our field => header
     */
    public static function guessed(array $headers): array
    {
        $out = [];
        foreach (self::FIELDS as $field => $known) {
            foreach ($headers as $header) {
                if (!isset($out[$field]) && in_array(strtolower(trim($header)), $known, true)) {
                    $out[$field] = $header;
                }
            }
        }

        return $out;
    }

    /**
     * @param array<string, string> $columns our field => header; guessed where empty
     *
     * @return list<Entry>
     */
    public static function read(string $text, array $columns): array
    {
        $table = self::table($text);
        $headers = array_shift($table) ?? [];
        if (count($headers) !== count(array_unique($headers))) {
            throw Refused::at('/text', 'Two columns have the same header; name them apart.');
        }
        $columns = $columns === [] ? self::guessed($headers) : $columns;
        foreach ($columns as $field => $header) {
            if (!isset(self::FIELDS[$field]) || !in_array($header, $headers, true)) {
                throw Refused::at("/columns/{$field}", "There is no column '{$header}'.");
            }
        }
        $placed = isset($columns['geometry']) || (isset($columns['longitude'], $columns['latitude']));
        if (!$placed) {
            throw Refused::at('/columns', 'Say which columns hold longitude and latitude, or the geometry.');
        }
        if (isset($columns['corner']) && !isset($columns['name'])) {
            throw Refused::at('/columns/name', 'Corners belong to an outline by its name; say which column that is.');
        }

        return isset($columns['corner']) ? self::outlines($table, $headers, $columns) : self::rows($table, $headers, $columns);
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $keys = array_values(array_unique(array_merge([], ...array_map(static fn (Entry $e): array => array_map(strval(...), array_keys($e->all())), $entries))));
        $handle = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No memory for a table.');
        fputcsv($handle, ['name', 'geometry', ...$keys], ',', '"', '');
        foreach ($entries as $entry) {
            $all = $entry->all();
            $cells = [$entry->name, $entry->shape === null ? '' : self::wellKnownText($entry->shape)];
            foreach ($keys as $key) {
                $value = $all[$key] ?? '';
                $cells[] = is_string($value) ? $value : XmlFile::carried($value);
            }
            fputcsv($handle, array_map(self::guarded(...), $cells), ',', '"', '');
        }
        rewind($handle);

        return (string) stream_get_contents($handle);
    }

    public static function guarded(string $cell): string
    {
        return preg_match(self::FORMULA, $cell) === 1 && !is_numeric($cell) ? "'{$cell}" : $cell;
    }

    /** @return list<list<string>> rows of cells, empty lines left out */
    public static function table(string $text): array
    {
        $first = strtok($text, "\r\n");
        $delimiter = $first === false ? ',' : array_search(max($counts = [',' => substr_count($first, ','), ';' => substr_count($first, ';'), "\t" => substr_count($first, "\t")]), $counts, true);
        $handle = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No memory for a table.');
        fwrite($handle, $text);
        rewind($handle);
        $out = [];
        while (($cells = fgetcsv($handle, null, (string) $delimiter, '"', '')) !== false) {
            if ($cells !== [null]) {
                $out[] = array_map(static fn (?string $c): string => (string) preg_replace("/^'(?=[=+@\\-\\t\\r])/", '', trim((string) $c, ' ')), $cells);
            }
        }

        return $out;
    }

    /**
     * @param list<list<string>> $table
     * @param list<string> $headers
     * @param array<string, string> $columns
     *
     * @return list<Entry>
     */
    private static function rows(array $table, array $headers, array $columns): array
    {
        $out = [];
        foreach ($table as $i => $cells) {
            [$given, $properties] = self::parted($cells, $headers, $columns);
            try {
                $out[] = Entry::of($i + 2, $given['name'] ?? '', self::place($given), $properties);
            } catch (Refused $e) {
                $out[] = Entry::bad($i + 2, $given['name'] ?? '', $e->faults[0]['message'], $properties);
            }
        }

        return $out;
    }

    /**
     * @param list<list<string>> $table
     * @param list<string> $headers
     * @param array<string, string> $columns
     *
     * @return list<Entry> by the row where each outline begins
     */
    private static function outlines(array $table, array $headers, array $columns): array
    {
        $groups = [];
        foreach ($table as $i => $cells) {
            [$given, $properties] = self::parted($cells, $headers, $columns);
            $groups[$given['name'] ?? ''][] = ['row' => $i + 2, 'given' => $given, 'properties' => $properties];
        }
        $out = [];
        foreach ($groups as $name => $corners) {
            usort($corners, static fn (array $a, array $b): int => [(float) ($a['given']['corner'] ?? 0), $a['row']] <=> [(float) ($b['given']['corner'] ?? 0), $b['row']]);
            $row = min(array_column($corners, 'row'));
            $properties = $corners[0]['properties'];
            try {
                $ring = [];
                foreach ($corners as $corner) {
                    $ring[] = self::position($corner['given'], $corner['row']);
                }
                $out[] = Entry::of($row, (string) $name, Shape::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$ring]]), $properties);
            } catch (Refused $e) {
                $out[] = Entry::bad($row, (string) $name, $e->faults[0]['message'], $properties);
            }
        }

        return $out;
    }

    /**
     * @param list<string> $cells
     * @param list<string> $headers
     * @param array<string, string> $columns
     *
     * @return array{array<string, string>, array<string, string>} our fields, and the rest that is not empty
     */
    private static function parted(array $cells, array $headers, array $columns): array
    {
        $given = $properties = [];
        $fields = array_flip($columns);
        foreach ($headers as $i => $header) {
            $cell = $cells[$i] ?? '';
            if (isset($fields[$header])) {
                $given[$fields[$header]] = $cell;
            } elseif ($cell !== '') {
                $properties[$header] = $cell;
            }
        }

        return [$given, $properties];
    }

    /** @param array<string, string> $given */
    private static function place(array $given): Shape
    {
        if (($given['geometry'] ?? '') === '') {
            return Shape::fromGeoJson(['type' => 'Point', 'coordinates' => self::position($given, null)]);
        }
        try {
            $shape = Geos::read($given['geometry']);
        } catch (\Exception) {
            throw Refused::at('', "The geometry '" . mb_strimwidth($given['geometry'], 0, 40, '...') . "' cannot be read; it must be well-known text such as POINT (-71.4 44.05).");
        }

        return match ($shape->typeName()) {
            'Point' => Shape::fromGeoJson(['type' => 'Point', 'coordinates' => $shape->isEmpty() ? null : [$shape->getX(), $shape->getY()]]),
            'LineString' => Shape::fromGeoJson(['type' => 'LineString', 'coordinates' => Geos::points($shape)]),
            'Polygon' => Shape::fromGeoJson(['type' => 'Polygon', 'coordinates' => Geos::polygons($shape)[0] ?? []]),
            default => throw Refused::at('', 'Give a point, a line or a polygon; this is a ' . $shape->typeName() . '.'),
        };
    }

    /**
     * @param array<string, string> $given
     *
     * @return array{float, float}
     */
    private static function position(array $given, ?int $row): array
    {
        $at = $row === null ? '' : " (row {$row})";
        foreach (['longitude', 'latitude'] as $axis) {
            if (!is_numeric($given[$axis] ?? null)) {
                throw Refused::at('', ucfirst($axis) . " reads '" . mb_strimwidth($given[$axis] ?? '', 0, 30, '...') . "'{$at}; give decimal degrees with a point.");
            }
        }

        return [(float) $given['longitude'], (float) $given['latitude']];
    }

    private static function wellKnownText(Shape $shape): string
    {
        $line = self::corners(...);

        return match ($shape->type) {
            'Point' => 'POINT ' . $line($shape->parts[0]),
            'LineString' => 'LINESTRING ' . $line($shape->parts[0]),
            default => 'POLYGON (' . implode(', ', array_map($line, $shape->parts)) . ')',
        };
    }

    /** @param list<array{float, float}> $part */
    private static function corners(array $part): string
    {
        return '(' . implode(', ', array_map(static fn (array $p): string => json_encode($p[0]) . ' ' . json_encode($p[1]), $part)) . ')';
    }
}
