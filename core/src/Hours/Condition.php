<?php

declare(strict_types=1);

namespace Thicket\Hours;

/** What an hour is held against, in the order in which people look at it. */
enum Condition: string
{
    case Season = 'season';
    case Daylight = 'daylight';
    case Wind = 'wind';
    case Gust = 'gust';
    case Drift = 'drift';
    case Bees = 'bees';
    case Inversion = 'inversion';
    case Temperature = 'temperature';
    case HeatAfter = 'heat-after';
    case Drying = 'drying';
    case Surface = 'surface';
    case RainAfter = 'rain-after';
    case Sprinklers = 'sprinklers';
    case Ground = 'ground';
    case Snow = 'snow';
    case Fire = 'fire';

    /** effect, drift, wash-off, bees, people or fire: what is lost where it is not kept (handbook 4). */
    public function threatens(): string
    {
        return match ($this) {
            self::Season, self::Temperature, self::Surface, self::Snow => 'effect',
            self::Wind, self::Gust, self::Drift, self::Inversion, self::HeatAfter, self::Drying => 'drift',
            self::RainAfter, self::Sprinklers, self::Ground => 'wash-off',
            self::Bees => 'bees',
            self::Daylight => 'people',
            self::Fire => 'fire',
        };
    }
}
