<?php

declare(strict_types=1);

namespace App\Photos;

use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/** The place a camera wrote into its picture: degrees, minutes and seconds as fractions, with a letter for the side. */
final class ExifPlace
{
    /**
     * @param array<array-key, mixed> $exif as exif_read_data() gives it
     *
     * @return array{latitude: string, longitude: string}|null decimal degrees, 7 places; null where there is none or it
     *     is none
     */
    public static function of(array $exif): ?array
    {
        $latitude = self::degrees(
            $exif['GPSLatitude'] ?? null,
            $exif['GPSLatitudeRef'] ?? null,
            ['N' => 1, 'S' => -1],
            90,
        );
        $longitude = self::degrees(
            $exif['GPSLongitude'] ?? null,
            $exif['GPSLongitudeRef'] ?? null,
            ['E' => 1, 'W' => -1],
            180,
        );
        // nought and nought is what a camera without a fix writes
        if ($latitude === null || $longitude === null || ($latitude->isZero() && $longitude->isZero())) {
            return null;
        }
        $text = static fn(BigRational $d): string => (string) $d->toScale(7, RoundingMode::HALF_UP);

        return ['latitude' => $text($latitude), 'longitude' => $text($longitude)];
    }

    /** @param array<string, int> $sides */
    private static function degrees(mixed $parts, mixed $side, array $sides, int $most): ?BigRational
    {
        if (!is_array($parts) || count($parts) !== 3 || !is_string($side) || !isset($sides[$side])) {
            return null;
        }
        try {
            [$degrees, $minutes, $seconds] = array_map(
                static fn(mixed $p): BigRational => BigRational::of(is_string($p) ? $p : ''),
                array_values($parts),
            );
        } catch (MathException) {
            return null;
        }
        $sum = $degrees->plus($minutes->dividedBy(60))->plus($seconds->dividedBy(3600))->multipliedBy($sides[$side]);

        return $sum->abs()->isGreaterThan($most) ? null : $sum;
    }
}
