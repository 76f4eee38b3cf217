<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** Ground within a distance of something drawn, worked in metres of a plane round it (rulings B23). */
final class Zone
{
    private function __construct() {}

    /** @return list<list<list<array{float, float}>>> polygons, each as its closed rings, the outer one first */
    public static function round(Shape $shape, Quantity $distance): array
    {
        $metres = $distance->mustMatch(Dimension::Length)->float(Unit::Metre);
        $plane = LocalPlane::ofBox($shape->box());
        $parts = array_map($plane->allMetres(...), $shape->parts);
        $drawn = match ($shape->type) {
            'Point' => Geos::point($parts[0][0]),
            'LineString' => Geos::line($parts[0]),
            default => Geos::polygon($parts),
        };

        return array_map(
            static fn(array $rings): array => array_map($plane->allPositions(...), $rings),
            Geos::polygons($metres > 0 ? Geos::buffer($drawn, $metres) : $drawn),
        );
    }
}
