<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;

/** The formats that shapes come and go in. */
enum FileFormat: string
{
    case GeoJson = 'geojson';
    case Gpx = 'gpx';
    case Kml = 'kml';
    case Csv = 'csv';

    public const MOST_BYTES = 12_000_000;
    public const MOST_ENTRIES = 3000;
    /** Positions of all things of a file together: a receiver's whole day, once a second, is 28,800. */
    public const MOST_POSITIONS = 100_000;

    /**
     * @param array<string, string> $columns for CSV: our field => header of the file
     *
     * @return list<Entry> in the order of the file, faulty ones with their fault
     *
     * @throws Refused where the file as a whole cannot be read
     */
    public function read(string $text, array $columns = []): array
    {
        self::mustBeReadable($text);
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $budget = new FileBudget();
        $found = match ($this) {
            self::GeoJson => GeoJsonFile::read($text, $budget),
            self::Gpx => GpxFile::read($text, $budget),
            self::Kml => KmlFile::read($text, $budget),
            self::Csv => CsvFile::read($text, $columns, $budget),
        };
        $entries = [];
        foreach ($found as $entry) {
            $budget->entry();
            $entries[] = $entry;
        }
        if ($entries === []) {
            throw Refused::at('/text', 'There is nothing with a place in this file.');
        }

        return $entries;
    }

    /** @param list<Entry> $entries each with its shape */
    public function write(array $entries): string
    {
        return match ($this) {
            self::GeoJson => GeoJsonFile::write($entries),
            self::Gpx => GpxFile::write($entries),
            self::Kml => KmlFile::write($entries),
            self::Csv => CsvFile::write($entries),
        };
    }

    public function mediaType(): string
    {
        return match ($this) {
            self::GeoJson => 'application/geo+json',
            self::Gpx => 'application/gpx+xml',
            self::Kml => 'application/vnd.google-earth.kml+xml',
            self::Csv => 'text/csv',
        };
    }

    /** What the text looks like; null where it is none of them. */
    public static function detect(string $text): ?self
    {
        $start = ltrim((string) preg_replace('/^\xEF\xBB\xBF/', '', substr($text, 0, 4000)));

        return match (true) {
            // a record separator begins each document of a sequence (RFC 8142)
            str_starts_with($start, '{'), str_starts_with($start, "\x1E") => self::GeoJson,
            str_starts_with($start, '<') => match (1) {
                preg_match('/<(\w+:)?kml\b/', $start) => self::Kml,
                preg_match('/<(\w+:)?gpx\b/', $start) => self::Gpx,
                default => null,
            },
            preg_match('/^[^\r\n<{]*[,;\t][^\r\n]*[\r\n]/', $start) === 1 => self::Csv,
            default => null,
        };
    }

    private static function mustBeReadable(string $text): void
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw Refused::at('/text', 'This file is larger than ' . self::MOST_BYTES / 1_000_000 . ' MB; split it.');
        }
        // packed files are not opened at all: what they unfold to is known too late
        if (str_starts_with($text, "PK\x03\x04") || str_starts_with($text, "\x1f\x8b")) {
            throw Refused::at('/text', 'This file is packed; unpack it and bring the file inside.');
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw Refused::at('/text', 'This file is not UTF-8 text; save it as UTF-8.');
        }
    }
}
