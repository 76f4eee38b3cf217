<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Geos;
use Thicket\Survey\Shape;

/**
 * A table with a header: one thing a row, by longitude and latitude or by a well-known-text geometry; or one corner a
 * row, where rows of one name are the corners of one outline. Other columns are properties.
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

    private function __construct() {}

    /** @return list<string> headers of the file, for matching */
    public static function headers(string $text): array
    {
        return self::table($text, 1)[0] ?? [];
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
     * @return \Generator<int, Entry>
     */
    public static function read(string $text, array $columns, FileBudget $budget): \Generator
    {
        // a table of corners has a row a position, so it may hold as many
        $table = self::table($text, FileFormat::MOST_POSITIONS + 1);
        if (count($table) > FileFormat::MOST_POSITIONS + 1) {
            $budget->positions(FileFormat::MOST_POSITIONS + 1);
        }
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
        $placed = isset($columns['geometry']) || isset($columns['longitude'], $columns['latitude']);
        if (!$placed) {
            throw Refused::at('/columns', 'Say which columns hold longitude and latitude, or the geometry.');
        }
        if (isset($columns['corner']) && !isset($columns['name'])) {
            throw Refused::at('/columns/name', 'Corners belong to an outline by its name; say which column that is.');
        }

        $decimalComma = self::delimiter($text) !== ',';
        yield from isset($columns['corner'])
            ? self::outlines($table, $headers, $columns, $decimalComma, $budget)
            : self::rows($table, $headers, $columns, $decimalComma, $budget);
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $keys = array_values(
            array_unique(
                array_merge(
                    [],
                    ...array_map(static fn(Entry $e): array => array_map(strval(...), array_keys($e->all())), $entries),
                ),
            ),
        );
        $rows = [['name', 'geometry', ...$keys]];
        foreach ($entries as $entry) {
            $all = $entry->all();
            $rows[] = [
                $entry->name,
                $entry->shape === null ? '' : self::wellKnownText($entry->shape),
                ...array_map(
                    static fn(string $key): string => is_string($all[$key] ?? '')
                        ? (string) ($all[$key] ?? '')
                        : XmlFile::carried($all[$key]),
                    $keys,
                ),
            ];
        }

        return self::written($rows);
    }

    /**
     * Rows as CSV (RFC 4180): every cell, those of the header too, guarded against spreadsheets that run what looks
     * like a formula.
     *
     * @param iterable<array<string|int|null>> $rows
     */
    public static function written(iterable $rows): string
    {
        $handle = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No memory for a table.');
        foreach ($rows as $cells) {
            fputcsv(
                $handle,
                array_map(static fn(string|int|null $cell): string => self::guarded((string) $cell), $cells),
                ',',
                '"',
                '',
            );
        }
        rewind($handle);

        return (string) stream_get_contents($handle);
    }

    public static function guarded(string $cell): string
    {
        return preg_match(self::FORMULA, $cell) === 1 && !is_numeric($cell) ? "'{$cell}" : $cell;
    }

    /**
     * A number as a table writes it: where cells are parted by something else, a comma is the decimal point. Other
     * texts stay.
     */
    public static function number(string $cell, bool $decimalComma): string
    {
        return $decimalComma && preg_match('/^(-?[0-9]+),([0-9]+)(?![0-9,.])/', $cell) === 1
            ? (string) preg_replace('/,/', '.', $cell, 1)
            : $cell;
    }

    /** What parts the cells, read off the first line: a comma, a semicolon or a tab. */
    public static function delimiter(string $text): string
    {
        $first = strtok($text, "\r\n");
        $counts = array_map(static fn(string $d): int => substr_count((string) $first, $d), [
            ',' => ',',
            ';' => ';',
            "\t" => "\t",
        ]);

        return (string) array_search(max($counts), $counts, true);
    }

    /**
     * @param int|null $most rows after the header that are read; what follows is not looked at
     *
     * @return list<list<string>> rows of cells, empty lines left out
     */
    public static function table(string $text, ?int $most = null): array
    {
        $delimiter = self::delimiter($text);
        $handle = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No memory for a table.');
        fwrite($handle, $text);
        rewind($handle);
        $out = [];
        while (($cells = fgetcsv($handle, null, $delimiter, '"', '')) !== false) {
            if ($cells !== [null]) {
                $out[] = array_map(
                    static fn(?string $c): string => (string) preg_replace(
                        "/^'(?=[=+@\\-\\t\\r])/",
                        '',
                        trim((string) $c, ' '),
                    ),
                    $cells,
                );
            }
            if ($most !== null && count($out) > $most + 1) {
                break;
            }
        }

        return $out;
    }

    /**
     * @param list<list<string>> $table
     * @param list<string> $headers
     * @param array<string, string> $columns
     *
     * @return \Generator<int, Entry>
     */
    private static function rows(
        array $table,
        array $headers,
        array $columns,
        bool $decimalComma,
        FileBudget $budget,
    ): \Generator {
        foreach ($table as $i => $cells) {
            [$given, $properties] = self::parted($cells, $headers, $columns);
            $name = $given['name'] ?? '';
            try {
                $pieces = self::place($given, $decimalComma, $budget);
            } catch (Refused $e) {
                yield $e->faults[0]['pointer'] === ''
                    ? Entry::bad($i + 2, $name, $e->faults[0]['message'], $properties)
                    : throw $e;
                continue;
            }
            foreach ($pieces as $n => $piece) {
                yield Entry::read(
                    $i + 2,
                    count($pieces) > 1 ? trim($name . ' ' . ($n + 1)) : $name,
                    $piece,
                    $properties,
                );
            }
        }
    }

    /**
     * @param list<list<string>> $table
     * @param list<string> $headers
     * @param array<string, string> $columns
     *
     * @return \Generator<int, Entry> by the row where each outline begins
     */
    private static function outlines(
        array $table,
        array $headers,
        array $columns,
        bool $decimalComma,
        FileBudget $budget,
    ): \Generator {
        $groups = [];
        foreach ($table as $i => $cells) {
            [$given, $properties] = self::parted($cells, $headers, $columns);
            $groups[$given['name'] ?? ''][] = ['row' => $i + 2, 'given' => $given, 'properties' => $properties];
        }
        foreach ($groups as $name => $corners) {
            $budget->positions(count($corners));
            usort(
                $corners,
                static fn(array $a, array $b): int => [(float) ($a['given']['corner'] ?? 0), $a['row']] <=> [
                    (float) ($b['given']['corner'] ?? 0),
                    $b['row'],
                ],
            );
            $row = min(array_column($corners, 'row'));
            $properties = $corners[0]['properties'];
            try {
                $ring = [];
                foreach ($corners as $corner) {
                    $ring[] = self::position($corner['given'], $corner['row'], $decimalComma);
                }
            } catch (Refused $e) {
                yield Entry::bad($row, (string) $name, $e->faults[0]['message'], $properties);
                continue;
            }
            yield Entry::read($row, (string) $name, ['type' => 'Polygon', 'coordinates' => [$ring]], $properties);
        }
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

    /**
     * @param array<string, string> $given
     *
     * @return list<array{type: string, coordinates: mixed}> GeoJSON geometries; the pieces of a Multi geometry or a
     *     collection come one by one
     */
    private static function place(array $given, bool $decimalComma, FileBudget $budget): array
    {
        $text = $given['geometry'] ?? '';
        if ($text === '') {
            $budget->positions(1);

            return [['type' => 'Point', 'coordinates' => self::position($given, null, $decimalComma)]];
        }
        if (preg_match('/^\s*SRID=(\d{1,6});/i', $text, $found) === 1) {
            $text = substr($text, strlen($found[0]));
            if ($found[1] !== '4326') {
                throw Refused::at(
                    '',
                    "This geometry is in the coordinate system EPSG:{$found[1]}; export it in WGS 84 " .
                        '(EPSG:4326), as longitude and latitude in degrees.',
                );
            }
        }
        // every position but the first of a list stands behind a comma
        $budget->positions(substr_count($text, ',') + 1);
        try {
            $pieces = self::pieces(Geos::read($text));
        } catch (Refused $e) {
            throw $e;
        } catch (\Exception) {
            throw Refused::at(
                '',
                "The geometry '" .
                    mb_strimwidth($text, 0, 40, '...') .
                    "' cannot be read; it must be well-known text such as POINT (-71.4 44.05).",
            );
        }

        return $pieces === [] ? throw Refused::at('', 'Its geometry is empty.') : $pieces;
    }

    /** @return list<array{type: string, coordinates: mixed}> */
    private static function pieces(\GEOSGeometry $shape): array
    {
        if ($shape->isEmpty()) {
            return [];
        }
        if (str_starts_with($shape->typeName(), 'Multi') || $shape->typeName() === 'GeometryCollection') {
            $out = [];
            for ($i = 0; $i < $shape->numGeometries(); ++$i) {
                array_push($out, ...self::pieces($shape->geometryN($i)));
            }

            return $out;
        }

        return [
            match ($shape->typeName()) {
                'Point' => ['type' => 'Point', 'coordinates' => [$shape->getX(), $shape->getY()]],
                'LineString' => ['type' => 'LineString', 'coordinates' => Geos::points($shape)],
                'Polygon' => ['type' => 'Polygon', 'coordinates' => Geos::polygons($shape)[0] ?? []],
                default => throw Refused::at(
                    '',
                    'Give points, lines or polygons; this is a ' . $shape->typeName() . '.',
                ),
            },
        ];
    }

    /**
     * @param array<string, string> $given
     *
     * @return array{float, float}
     */
    private static function position(array $given, ?int $row, bool $decimalComma): array
    {
        $at = $row === null ? '' : " (row {$row})";
        $read = [];
        foreach (['longitude', 'latitude'] as $axis) {
            $number = self::number($given[$axis] ?? '', $decimalComma);
            if (!is_numeric($number)) {
                throw Refused::at(
                    '',
                    ucfirst($axis) .
                        " reads '" .
                        mb_strimwidth($given[$axis] ?? '', 0, 30, '...') .
                        "'{$at}; give decimal degrees with a point.",
                );
            }
            $read[] = (float) $number;
        }

        return $read;
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
        return '(' .
            implode(
                ', ',
                array_map(static fn(array $p): string => json_encode($p[0]) . ' ' . json_encode($p[1]), $part),
            ) .
            ')';
    }
}
