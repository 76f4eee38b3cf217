<?php

declare(strict_types=1);

namespace Thicket\Position;

/** One position from a receiver. */
final readonly class Fix
{
    /** @param array{float, float} $position longitude, latitude; WGS 84 degrees */
    public function __construct(
        public array $position,
        public \DateTimeImmutable $at,
        /** Horizontal dilution of precision; null where the receiver did not say. */
        public ?float $dilution = null,
        public ?int $satellites = null,
    ) {}
}
