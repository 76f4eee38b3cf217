<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/**
 * Texture classes for rates by soil (handbook 3 "Traps"); three loams are between classes and only the card can say.
 */
enum SoilTexture: string
{
    case Coarse = 'coarse';
    case Medium = 'medium';
    case Fine = 'fine';

    private const BY_NAME = [
        'sand' => self::Coarse,
        'loamy sand' => self::Coarse,
        'sandy loam' => self::Coarse,
        'silt' => self::Medium,
        'loam' => self::Medium,
        'clay' => self::Fine,
        'clay loam' => self::Fine,
        'silty clay loam' => self::Fine,
        'silty clay' => self::Fine,
        'silt loam' => null,
        'sandy clay loam' => null,
        'sandy clay' => null,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::BY_NAME);
    }

    /** Null where the card must say. */
    public static function ofSoil(string $name): ?self
    {
        return self::BY_NAME[$name] ?? null;
    }
}
