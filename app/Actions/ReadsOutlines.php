<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ground;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Survey\Mending;
use Thicket\Survey\Shape;

/** Reading shapes from a request body, near the ground they belong to; faults are noted in the fields. */
trait ReadsOutlines
{
    private function outlineOf(Fields $in, string $field, Ground $ground): ?Mending
    {
        return $this->shapely(
            $in,
            $field,
            fn(mixed $json, string $pointer): Mending => Mending::outline($json, $this->positionOf($ground), $pointer),
        );
    }

    private function shapeOf(Fields $in, string $field, Ground $ground): ?Shape
    {
        return $this->shapely($in, $field, function (mixed $json, string $pointer) use ($ground): Shape {
            $shape = Shape::fromGeoJson($json, $pointer);
            Mending::mustBeNear($shape->parts[0][0], $this->positionOf($ground), $pointer);

            return $shape;
        });
    }

    /**
     * @template T
     *
     * @param \Closure(mixed, string): T $read
     *
     * @return T|null
     */
    private function shapely(Fields $in, string $field, \Closure $read): mixed
    {
        $json = $in->raw($field);
        if ($json === null) {
            return null;
        }
        try {
            return $read($json, "{$in->pointer}/{$field}");
        } catch (Refused $e) {
            foreach ($e->faults as $fault) {
                $in->faults->add($fault['pointer'], $fault['message']);
            }

            return null;
        }
    }

    /** @return array{float, float} */
    private function positionOf(Ground $ground): array
    {
        return [(float) $ground->longitude, (float) $ground->latitude];
    }
}
