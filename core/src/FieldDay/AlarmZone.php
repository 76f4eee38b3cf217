<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Measure\Quantity;

/** Ground round something that nobody enters with the product. */
final readonly class AlarmZone
{
    /**
     * @param list<list<list<array{float, float}>>> $polygons each as its closed rings, the outer one first; longitude
     *     first
     */
    public function __construct(public string $name, public Quantity $distance, public array $polygons) {}
}
