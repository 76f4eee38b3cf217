<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Thicket\Measure\Quantity;

/** A thing to protect or to know of, as seen from the patch. */
final readonly class Keeper
{
    public const KINDS = ['tree', 'shrub', 'planting', 'grass', 'forbs', 'crop', 'hive', 'well', 'stream', 'pond', 'drain', 'path', 'fence', 'building', 'stock'];
    private const WATER = ['well', 'stream', 'pond', 'drain'];

    public function __construct(
        public string $kind,
        public string $name,
        /** Nearest distance from the targets; null where nobody measured it. */
        public ?Quantity $distance = null,
        public ?string $speciesId = null,
        public ?Quantity $crownRadius = null,
        public ?Quantity $height = null,
        /** Stands downhill of the targets: soil-active reach is half as much again (rulings J28). */
        public bool $downhill = false,
    ) {
    }

    public function isWater(): bool
    {
        return in_array($this->kind, self::WATER, true);
    }

    public function isRooted(): bool
    {
        return in_array($this->kind, ['tree', 'shrub', 'planting', 'crop'], true);
    }
}
