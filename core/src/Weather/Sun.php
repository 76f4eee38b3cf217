<?php

declare(strict_types=1);

namespace Thicket\Weather;

/**
 * Sunrise and sunset: solar declination and the equation of time by the low-precision series of the year's angle, the
 * upper edge of the sun on a level horizon with usual refraction (zenith 90.833 degrees). Within two minutes between
 * the polar circles.
 */
final readonly class Sun
{
    private const ZENITH_DEGREES = 90.833;
    private const DAY_MINUTES = 1440.0;

    /** Null where the sun does not cross the horizon that day: it is up, or down, all day. */
    private function __construct(
        public ?\DateTimeImmutable $rise,
        public ?\DateTimeImmutable $set,
        private bool $isUpAtNoon,
    ) {}

    /** Whether the sun stands above the horizon then, on its day. */
    public function isUp(\DateTimeImmutable $moment): bool
    {
        return $this->rise === null || $this->set === null
            ? $this->isUpAtNoon
            : $moment >= $this->rise && $moment <= $this->set;
    }

    /** @param \DateTimeImmutable $day the ground's calendar day (midnight UTC, {@see \Thicket\Calendar\Day}) */
    public static function on(\DateTimeImmutable $day, float $latitude, float $longitude): self
    {
        return new self(
            self::crossing($day, $latitude, $longitude, 1),
            self::crossing($day, $latitude, $longitude, -1),
            abs($latitude - rad2deg(self::place($day, 720 - 4 * $longitude)[0])) < self::ZENITH_DEGREES,
        );
    }

    private static function crossing(
        \DateTimeImmutable $day,
        float $latitude,
        float $longitude,
        int $side,
    ): ?\DateTimeImmutable {
        // first at local noon, then again at the time found: the sun moves on meanwhile
        $minutes = 720 - 4 * $longitude;
        for ($i = 0; $i < 2; ++$i) {
            [$declination, $equation] = self::place($day, $minutes);
            $phi = deg2rad($latitude);
            $cosine =
                (cos(deg2rad(self::ZENITH_DEGREES)) - sin($phi) * sin($declination)) / (cos($phi) * cos($declination));
            if (abs($cosine) > 1) {
                return null;
            }
            $minutes = 720 - 4 * ($longitude + $side * rad2deg(acos($cosine))) - $equation;
        }

        return $day->setTimestamp($day->getTimestamp() + (int) round($minutes * 60));
    }

    /** @return array{float, float} declination in radians, equation of time in minutes */
    private static function place(\DateTimeImmutable $day, float $minutes): array
    {
        $days = $day->getTimestamp() / 86_400 - 10_957.5 + $minutes / self::DAY_MINUTES;
        $centuries = $days / 36_525;
        $mean = deg2rad(fmod(280.46646 + 36_000.76983 * $centuries, 360));
        $anomaly = deg2rad(fmod(357.52911 + 35_999.05029 * $centuries, 360));
        $centre = 1.914602 * sin($anomaly) + 0.019993 * sin(2 * $anomaly) + 0.000289 * sin(3 * $anomaly);
        $true = $mean + deg2rad($centre);
        $tilt = deg2rad(23.439291 - 0.013004 * $centuries);
        $declination = asin(sin($tilt) * sin($true));
        $y = tan($tilt / 2) ** 2;
        $e = 0.016708634;
        $equation =
            4 *
            rad2deg(
                $y * sin(2 * $mean) -
                    2 * $e * sin($anomaly) +
                    4 * $e * $y * sin($anomaly) * cos(2 * $mean) -
                    0.5 * $y * $y * sin(4 * $mean) -
                    1.25 * $e * $e * sin(2 * $anomaly),
            );

        return [$declination, $equation];
    }
}
