<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Thicket\Measure\Unit;

/**
 * How long leaves, bark and litter stay wet: a film that rain and dew fill up to what the surface holds, and that dries
 * by the aerodynamic part of the Penman equation, 0.26 (1 + 0.54 u) (es - ea) mm a day, u in m/s at 2 m (three quarters
 * of the wind at 10 m). No sun in it, so it errs to the wet side. Stated in docs/hours.md.
 */
final readonly class Wetness
{
    private const DRY_MILLIMETRES = 0.02;
    private const WIND_AT_TWO_METRES = 0.75;
    private const DEW_MILLIMETRES = 0.03;
    /** Air this much above its dew point, or less, wets what has cooled under an open sky. */
    private const DEW_KELVIN = 1.0;
    /** Where the service is silent for longer, nobody knows what lies on the leaf. */
    private const MOST_SILENT_HOURS = 3;

    /** @param array<int, float|null> $film mm by the hour's timestamp; null where it cannot be told */
    private function __construct(private array $film) {}

    /** @param list<WeatherHour> $hours one after the other */
    public static function on(Surface $surface, array $hours): self
    {
        $film = [];
        $lies = null;
        $silent = 0;
        foreach ($hours as $hour) {
            if ($hour->air === null || $hour->humidity === null || $hour->wind === null || $hour->rain === null) {
                $lies = ++$silent > self::MOST_SILENT_HOURS ? null : $lies;
                $film[$hour->at->getTimestamp()] = $lies;
                continue;
            }
            $silent = 0;
            $air = $hour->air->float(Unit::Celsius);
            $rain = $hour->rain->float(Unit::Millimetre);
            $dew = $air - Psychrometry::dewPoint($air, $hour->humidity) <= self::DEW_KELVIN;
            $dries =
                (0.26 / 24) *
                (1 + 0.54 * self::WIND_AT_TWO_METRES * $hour->wind->float(Unit::MetrePerSecond)) *
                Psychrometry::deficit($air, $hour->humidity);
            // nothing is known before the first hour: as wet as it can be, till it must have dried
            $lies = min(
                $surface->holdsMillimetres(),
                ($lies ?? $surface->holdsMillimetres()) + $rain + ($dew ? self::DEW_MILLIMETRES : 0.0),
            );
            // the hour is as wet as at its begin, or as its rain and dew make it; what dries in it counts from the next
            $film[$hour->at->getTimestamp()] = $lies;
            $lies = max(0.0, $lies - ($rain > 0.0 ? 0.0 : $dries));
        }

        return new self($film);
    }

    /** null where it cannot be told. */
    public function isWetAt(\DateTimeImmutable $hour): ?bool
    {
        $film = $this->film[$hour->getTimestamp()] ?? null;

        return $film === null ? null : $film > self::DRY_MILLIMETRES;
    }
}
