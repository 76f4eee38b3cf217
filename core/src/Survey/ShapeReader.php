<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Fields;
use Thicket\Input\Refused;

/** Reads shapes of a document that lie near a place; faults are noted where they are. */
final readonly class ShapeReader
{
    /** @param array{float, float} $near longitude, latitude of the ground they belong to */
    public function __construct(private array $near) {}

    /** @return Mending|null null where nothing is given, or it is refused */
    public function outline(Fields $in, string $field): ?Mending
    {
        return self::tried(
            $in,
            $field,
            fn(mixed $json, string $pointer): Mending => Mending::outline($json, $this->near, $pointer),
        );
    }

    /** @return Shape|null null where nothing is given, or it is refused */
    public function shape(Fields $in, string $field): ?Shape
    {
        return self::tried($in, $field, function (mixed $json, string $pointer): Shape {
            $shape = Shape::fromGeoJson($json, $pointer);
            Mending::mustBeNear($shape->parts[0][0], $this->near, $pointer);

            return $shape;
        });
    }

    /** @return Outline|null an outline that has to be given and may lie anywhere; null where it is refused */
    public static function anywhere(Fields $in, string $field): ?Outline
    {
        return $in->raw($field) === null
            ? $in->fault($field, 'Give an outline as GeoJSON, a Polygon.')
            : self::tried($in, $field, Outline::fromGeoJson(...));
    }

    /**
     * @template T
     *
     * @param \Closure(mixed, string): T $read
     *
     * @return T|null
     */
    private static function tried(Fields $in, string $field, \Closure $read): mixed
    {
        $json = $in->raw($field);
        if ($json === null) {
            return null;
        }
        try {
            return $read($json, "{$in->pointer}/{$field}");
        } catch (Refused $e) {
            $in->faults->addAll($e);

            return null;
        }
    }
}
