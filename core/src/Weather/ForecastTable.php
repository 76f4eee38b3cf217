<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * A forecast that somebody has as a table (CSV; comma, semicolon or tab): a first line that names the columns, then an
 * hour a line. What a column is called says its unit: airC or airF, windMs, windKmh or windMph, rainMm or rainIn; times
 * without an offset are of the ground (docs/hours.md).
 */
final readonly class ForecastTable
{
    private const MOST_LINES = 24 * 21 + 1;
    /** Name in a service's answer => column => its unit; null where the figure stands as it is. */
    private const COLUMNS = [
        'airC' => ['airC' => null, 'airF' => Unit::Fahrenheit],
        'humidityPct' => ['humidityPct' => null],
        'windMs' => ['windMs' => null, 'windKmh' => Unit::KilometrePerHour, 'windMph' => Unit::MilePerHour],
        'gustMs' => ['gustMs' => null, 'gustKmh' => Unit::KilometrePerHour, 'gustMph' => Unit::MilePerHour],
        'windFromDeg' => ['windFromDeg' => null],
        'rainMm' => ['rainMm' => null, 'rainIn' => Unit::Inch],
        'rainChancePct' => ['rainChancePct' => null],
        'cloudPct' => ['cloudPct' => null],
        'snowCm' => ['snowCm' => null, 'snowIn' => Unit::Inch],
        'soilC' => ['soilC' => null, 'soilF' => Unit::Fahrenheit],
        'topsoilC' => ['topsoilC' => null, 'topsoilF' => Unit::Fahrenheit],
    ];

    private function __construct() {}

    /**
     * @return list<array<string, float|string>> hours as a service tells them, for {@see ForecastReader}
     *
     * @throws Refused with a pointer to /document and the line at fault
     */
    public static function read(string $text, \DateTimeZone $zone): array
    {
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $lines = array_values(
            array_filter(preg_split('/\r\n|\r|\n/', $text) ?: [], static fn($l): bool => trim($l) !== ''),
        );
        if (count($lines) < 2 || !mb_check_encoding($text, 'UTF-8')) {
            throw self::refused('Give a table: a first line with the names of the columns, then an hour a line.');
        }
        if (count($lines) > self::MOST_LINES) {
            throw self::refused(
                'This table has more than ' . (self::MOST_LINES - 1) . ' hours; three weeks are enough.',
            );
        }
        $delimiter = self::delimiter($lines[0]);
        $names = array_map(trim(...), array_map(strval(...), str_getcsv($lines[0], $delimiter, '"', '')));
        $columns = self::columns($names);
        $hours = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            $hours[] = self::hour(
                str_getcsv($line, $delimiter, '"', ''),
                $columns,
                (int) array_search('at', $names, true),
                $zone,
                $i + 2,
            );
        }

        return $hours;
    }

    private static function delimiter(string $line): string
    {
        $counts = [',' => 0, ';' => 0, "\t" => 0];
        foreach (array_keys($counts) as $one) {
            $counts[$one] = substr_count($line, $one);
        }
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /**
     * @param list<string> $names
     *
     * @return array<int, array{string, Unit|null}> name in a service's answer and unit, by column
     */
    private static function columns(array $names): array
    {
        $known = [];
        foreach (self::COLUMNS as $name => $spelled) {
            foreach ($spelled as $column => $unit) {
                $known[$column] = [$name, $unit];
            }
        }
        $columns = [];
        foreach ($names as $i => $name) {
            isset($known[$name]) && ($columns[$i] = $known[$name]);
        }
        if (!in_array('at', $names, true) || $columns === []) {
            throw self::refused(
                'Name the columns: at for the begin of the hour, and any of ' . implode(', ', array_keys($known)) . '.',
            );
        }

        return $columns;
    }

    /**
     * @param array<int, string|null> $cells
     * @param array<int, array{string, Unit|null}> $columns
     *
     * @return array<string, float|string>
     */
    private static function hour(array $cells, array $columns, int $at, \DateTimeZone $zone, int $line): array
    {
        $text = trim((string) ($cells[$at] ?? ''));
        $isTime = preg_match('/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d)?(Z|[+-]\d\d:\d\d)?$/D', $text) === 1;
        try {
            $moment = $isTime ? new \DateTimeImmutable($text, $zone) : null;
        } catch (\Exception) {
            $moment = null;
        }
        if ($moment === null) {
            throw self::refused("Line {$line}: give the begin of the hour as 2026-09-03 09:00.");
        }
        $hour = ['at' => $moment->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z')];
        foreach ($columns as $i => [$name, $unit]) {
            $cell = str_replace(',', '.', trim((string) ($cells[$i] ?? '')));
            if ($cell === '') {
                continue;
            }
            if (preg_match('/^-?\d{1,6}(\.\d{1,6})?$/D', $cell) !== 1) {
                throw self::refused("Line {$line}: {$name} is a figure such as 12.5, without its unit.");
            }
            $hour[$name] = self::converted($cell, $unit, $name);
        }

        return $hour;
    }

    private static function converted(string $cell, ?Unit $unit, string $name): float
    {
        if ($unit === null) {
            return (float) $cell;
        }
        $into = match (true) {
            str_ends_with($name, 'C') => Unit::Celsius,
            str_ends_with($name, 'Ms') => Unit::MetrePerSecond,
            str_ends_with($name, 'Mm') => Unit::Millimetre,
            default => Unit::Centimetre,
        };

        return (float) (string) Quantity::of($cell, $unit)->in($into)->toScale(3, \Brick\Math\RoundingMode::HALF_UP);
    }

    private static function refused(string $message): Refused
    {
        return Refused::at('/document', $message);
    }
}
