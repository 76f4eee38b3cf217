<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What is drawn on a ground: a point (a well, one tree), a line (a stream, a path) or an outline (a pond, a planting).
 * WGS 84, longitude first.
 */
final readonly class Shape
{
    public const MOST_POSITIONS = 5000;

    /**
     * @param list<list<array{float, float}>> $parts the point, the line, or the closed rings with the outer one first
     */
    private function __construct(public string $type, public array $parts) {}

    /**
     * Reads a GeoJSON Point, LineString or Polygon, or a Feature of one.
     *
     * @throws Refused with the pointer of what is wrong and how to mend it
     */
    public static function fromGeoJson(mixed $json, string $pointer = ''): self
    {
        $type = is_array($json) ? $json['type'] ?? null : null;
        if (!is_array($json) || !in_array($type, ['Feature', 'Point', 'LineString', 'Polygon'], true)) {
            throw Refused::at($pointer, 'Give a GeoJSON Point, LineString or Polygon.');
        }
        if ($type === 'Feature') {
            return self::fromGeoJson($json['geometry'] ?? null, "{$pointer}/geometry");
        }
        if ($type === 'Polygon') {
            return self::ofOutline(Outline::fromGeoJson($json, $pointer));
        }
        $at = "{$pointer}/coordinates";
        if ($type === 'Point') {
            return new self('Point', [[Positions::one($json['coordinates'] ?? null, $at)]]);
        }
        $line = Positions::line($json['coordinates'] ?? null, $at);
        if (count($line) < 2) {
            throw Refused::at($at, 'A line needs at least two different positions.');
        }
        if (count($line) > self::MOST_POSITIONS) {
            throw Refused::at(
                $at,
                'A line has at most ' . self::MOST_POSITIONS . ' positions; this has ' . count($line) . '.',
            );
        }

        return new self('LineString', [$line]);
    }

    public static function ofOutline(Outline $outline): self
    {
        return new self('Polygon', $outline->rings);
    }

    /** @return array{type: string, coordinates: list<mixed>} GeoJSON */
    public function toGeoJson(): array
    {
        return [
            'type' => $this->type,
            'coordinates' => match ($this->type) {
                'Point' => $this->parts[0][0],
                'LineString' => $this->parts[0],
                default => $this->parts,
            },
        ];
    }

    /** @return array{float, float, float, float} west, south, east, north */
    public function box(): array
    {
        return Positions::box($this->parts[0]);
    }

    /** Length of a line or of all rings of an outline, to the centimetre; nought for a point. */
    public function length(): Quantity
    {
        $sum = array_sum(array_map(Ellipsoid::length(...), $this->parts));

        return Quantity::of(number_format($sum, 2, '.', ''), Unit::Metre);
    }
}
