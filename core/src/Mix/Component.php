<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Strength;

/** One thing that goes into the tank besides the carrier. */
final readonly class Component
{
    /** In loading order (rulings J16): each role goes in before the next. */
    public const ROLES = [
        'conditioner',
        'dry-flowable',
        'suspension',
        'emulsifiable',
        'solution',
        'oil',
        'emulsifier',
        'surfactant',
        'dye',
    ];

    public function __construct(
        public string $name,
        public string $role,
        /** Null where nobody gave the figure: it stays missing (handbook 3). */
        public ?Strength $strength,
        /**
         * Weight of a dry product per volume of finished mix, in place of a strength; it takes no room that anybody
         * reckons.
         */
        public ?\Thicket\Measure\Quantity $dry = null,
    ) {}

    public function order(): int
    {
        return (int) array_search($this->role, self::ROLES, true);
    }
}
