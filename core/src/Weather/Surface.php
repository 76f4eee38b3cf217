<?php

declare(strict_types=1);

namespace Thicket\Weather;

/** What holds rain and dew: how deep a film stays on it, mm (our guess, docs/hours.md). */
enum Surface: string
{
    case Leaf = 'leaf';
    case SmoothBark = 'smooth-bark';
    case RoughBark = 'rough-bark';
    case Ground = 'ground';

    public function holdsMillimetres(): float
    {
        return match ($this) {
            self::Leaf => 0.2,
            self::SmoothBark => 0.5,
            self::RoughBark => 1.2,
            self::Ground => 5.0,
        };
    }
}
