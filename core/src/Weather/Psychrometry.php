<?php

declare(strict_types=1);

namespace Thicket\Weather;

/**
 * Moist air: how fast drops dry and where dew falls. Saturation pressure over water after Magnus (6.112 hPa, 17.62,
 * 243.12 C); the wet bulb by the psychrometer equation with 0.000662/K at the pressure of the standard atmosphere.
 * Floats: physics of the air, not amounts to pour.
 */
final class Psychrometry
{
    private const PSYCHROMETER_PER_KELVIN = 0.000662;
    private const STEPS = 50;

    /** Pressure of water vapour in saturated air, hPa. */
    public static function saturation(float $celsius): float
    {
        return 6.112 * exp((17.62 * $celsius) / (243.12 + $celsius));
    }

    /** Pressure of the standard atmosphere, hPa. */
    public static function pressure(float $elevationMetres): float
    {
        return 1013.25 * (1 - 2.25577e-5 * $elevationMetres) ** 5.25588;
    }

    /** Temperature at which this air sheds its water, C. */
    public static function dewPoint(float $celsius, float $humidity): float
    {
        $log = log(max(0.1, $humidity) / 100) + (17.62 * $celsius) / (243.12 + $celsius);

        return (243.12 * $log) / (17.62 - $log);
    }

    /** Dry bulb less wet bulb, K: the larger, the faster a drop dries in the air. */
    public static function deltaT(float $celsius, float $humidity, float $elevationMetres): float
    {
        $vapour = (self::saturation($celsius) * min(100.0, max(0.0, $humidity))) / 100;
        $factor = self::PSYCHROMETER_PER_KELVIN * self::pressure($elevationMetres);
        [$low, $high] = [$celsius - 60, $celsius];
        for ($i = 0; $i < self::STEPS; ++$i) {
            $wet = ($low + $high) / 2;
            self::saturation($wet) - $factor * ($celsius - $wet) > $vapour ? ($high = $wet) : ($low = $wet);
        }

        return $celsius - ($low + $high) / 2;
    }

    /** How much more vapour this air could hold, hPa. */
    public static function deficit(float $celsius, float $humidity): float
    {
        return self::saturation($celsius) * (1 - min(100.0, max(0.0, $humidity)) / 100);
    }
}
