<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** What a product is thinned with. */
final readonly class Carrier
{
    public const WATER = 'water';
    /** Mineral or vegetable basal oil. */
    public const OIL = 'oil';
    /** Diesel or kerosene: only by a card that lists it and where it is lawful (rulings J18). */
    public const FUEL_OIL = 'fuel-oil';
    public const ALL = [self::WATER, self::OIL, self::FUEL_OIL];

    private function __construct() {}

    /** Whether product goes in first and seals have to stand it. */
    public static function isOil(string $carrier): bool
    {
        return $carrier === self::OIL || $carrier === self::FUEL_OIL;
    }
}
