<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** A thing to protect or to know of, as seen from the patch. */
final readonly class ProtectedFeature
{
    public const KINDS = [
        'tree',
        'shrub',
        'planting',
        'grass',
        'forbs',
        'crop',
        'hive',
        'well',
        'stream',
        'pond',
        'drain',
        'path',
        'fence',
        'building',
        'stock',
        'organic',
        'litter',
        'habitat',
    ];
    /** Wind wavers: an eighth of the circle to each side counts as downwind. */
    private const DRIFT_HALF_ANGLE_DEGREES = 45.0;
    private const WATER = ['well', 'stream', 'pond', 'drain'];

    /** More than six: what is told of a thing that is kept, answer by answer. */
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
        /**
         * Direction from the targets, degrees clockwise from north; null where nobody drew it or it stands among them.
         */
        public ?float $bearing = null,
        /** Where distance and bearing come from: 'typed' by somebody on site, or the 'map' (outline to drawn shape). */
        public string $source = 'typed',
    ) {}

    /**
     * How far its roots may reach: the larger of twice the crown radius and the height, half as much again downhill
     * (rulings J28).
     */
    public function rootReach(): ?Quantity
    {
        $reach = $this->height;
        if ($this->crownRadius !== null) {
            $twice = $this->crownRadius->times(2);
            $reach = $reach === null || $twice->isGreaterThan($reach) ? $twice : $reach;
        }

        return $reach !== null && $this->downhill ? $reach->times('3/2') : $reach;
    }

    /** Whether the targets stand inside its root reach; null where a size or distance is missing. */
    public function isInRootReach(): ?bool
    {
        $reach = $this->rootReach();

        return !$this->isRooted() || $reach === null || $this->distance === null
            ? null
            : $this->distance->isLessThan($reach);
    }

    /**
     * Whether a wind carries drops to it.
     *
     * @param float $from degrees the wind blows from
     */
    public function isDownwind(float $from): ?bool
    {
        if ($this->bearing === null) {
            return null;
        }
        $off = abs(fmod($this->bearing - ($from + 180) + 540 + 360, 360) - 180);

        return $off <= self::DRIFT_HALF_ANGLE_DEGREES;
    }

    /** Among the targets or closer than a step: what is done to them reaches it; an unknown distance is taken so. */
    public function isAmongTargets(): bool
    {
        return $this->distance === null || $this->distance->isLessThan(Quantity::of(1, Unit::Metre));
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
