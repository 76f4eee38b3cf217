<?php

declare(strict_types=1);

namespace Thicket\Position;

/**
 * Reads NMEA 0183 sentences, one line each: GGA gives position, quality and dilution, RMC gives the date. Any talker is
 * taken. A line is an outcome: a fix, no fix, a broken line (no sentence, wrong checksum, unreadable field), or one
 * of no concern. Latitude is ddmm.mmmm, longitude dddmm.mmmm; the checksum is the exclusive or between $ and *.
 */
final class Nmea
{
    /** Date of the last RMC, YYYY-MM-DD; GGA sentences carry the time of day only. */
    private ?string $date = null;

    public function __construct(private readonly string $dateUntilKnown) {}

    /** @return array{kind: 'fix', fix: Fix}|array{kind: 'no-fix'|'broken'|'other'} */
    public function read(string $line): array
    {
        $line = trim($line);
        if (
            preg_match('/^\$([A-Z]{2})([A-Z]{3}),([^*]*)\*([0-9A-Fa-f]{2})$/D', $line, $found) !== 1 ||
            self::checksum($line) !== hexdec($found[4])
        ) {
            return ['kind' => 'broken'];
        }
        $fields = explode(',', $found[3]);

        return match ($found[2]) {
            'RMC' => $this->date($fields),
            'GGA' => $this->position($fields),
            default => ['kind' => 'other'],
        };
    }

    /** Of the text between $ and *. */
    public static function checksum(string $line): int
    {
        $sum = 0;
        foreach (str_split(explode('*', ltrim($line, '$'))[0]) as $character) {
            $sum ^= ord($character);
        }

        return $sum;
    }

    /**
     * @param list<string> $fields time, status, latitude, N/S, longitude, E/W, speed, course, date ddmmyy
     *
     * @return array{kind: 'other'|'no-fix'}
     */
    private function date(array $fields): array
    {
        if (
            ($fields[1] ?? '') === 'A' &&
            preg_match('/^(\d\d)(\d\d)(\d\d)$/D', $fields[8] ?? '', $d) === 1 &&
            checkdate((int) $d[2], (int) $d[1], 2000 + (int) $d[3])
        ) {
            $this->date = "20{$d[3]}-{$d[2]}-{$d[1]}";

            return ['kind' => 'other'];
        }

        return ['kind' => 'no-fix'];
    }

    /**
     * @param list<string> $fields time, latitude, N/S, longitude, E/W, quality, satellites, dilution
     *
     * @return array{kind: 'fix', fix: Fix}|array{kind: 'no-fix'|'broken'}
     */
    private function position(array $fields): array
    {
        if (($fields[5] ?? '') === '0' || ($fields[5] ?? '') === '') {
            return ['kind' => 'no-fix'];
        }
        $latitude = self::degrees($fields[1] ?? '', 2, $fields[2] ?? '', 'N', 'S');
        $longitude = self::degrees($fields[3] ?? '', 3, $fields[4] ?? '', 'E', 'W');
        if (
            $latitude === null ||
            $longitude === null ||
            preg_match('/^([01]\d|2[0-3])([0-5]\d)([0-5]\d(?:\.\d+)?)$/D', $fields[0] ?? '', $t) !== 1
        ) {
            return ['kind' => 'broken'];
        }
        $at = new \DateTimeImmutable(($this->date ?? $this->dateUntilKnown) . "T{$t[1]}:{$t[2]}:{$t[3]}Z");

        return [
            'kind' => 'fix',
            'fix' => new Fix(
                [$longitude, $latitude],
                $at,
                is_numeric($fields[7] ?? '') ? (float) $fields[7] : null,
                ctype_digit($fields[6] ?? '') ? (int) $fields[6] : null,
            ),
        ];
    }

    private static function degrees(string $text, int $digits, string $side, string $positive, string $negative): ?float
    {
        if (
            preg_match("/^(\\d{{$digits}})([0-5]\\d(?:\\.\\d+)?)$/", $text, $parts) !== 1 ||
            !in_array($side, [$positive, $negative], true)
        ) {
            return null;
        }
        $degrees = (int) $parts[1] + (float) $parts[2] / 60;

        return $degrees > ($digits === 2 ? 90 : 180) ? null : ($side === $negative ? -1 : 1) * round($degrees, 8);
    }
}
