<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Shape;

/** GeoJSON (RFC 7946): a FeatureCollection, a Feature or a bare geometry. Pieces of a Multi geometry come one by one. */
final class GeoJsonFile
{
    private const DEEPEST = 40;

    private function __construct()
    {
    }

    /** @return list<Entry> */
    public static function read(string $text): array
    {
        $json = json_decode($text, true, self::DEEPEST);
        if (!is_array($json)) {
            throw Refused::at('/text', 'This is not readable JSON (' . json_last_error_msg() . ').');
        }
        $features = match ($json['type'] ?? null) {
            'FeatureCollection' => $json['features'] ?? null,
            'Feature' => [$json],
            default => [['type' => 'Feature', 'geometry' => $json, 'properties' => []]],
        };
        if (!is_array($features) || !array_is_list($features)) {
            throw Refused::at('/text', 'The FeatureCollection has no list of features.');
        }
        $out = [];
        foreach ($features as $i => $feature) {
            $out = [...$out, ...self::feature($i + 1, $feature)];
        }

        return $out;
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $features = [];
        foreach ($entries as $entry) {
            $features[] = ['type' => 'Feature', 'properties' => ['name' => $entry->name] + $entry->all(), 'geometry' => $entry->shape?->toGeoJson()];
        }

        return json_encode(['type' => 'FeatureCollection', 'features' => $features], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return list<Entry> */
    private static function feature(int $row, mixed $feature): array
    {
        $properties = is_array($feature) && is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
        /** @var array<string, mixed> $properties */
        $name = is_string($properties['name'] ?? null) ? $properties['name'] : '';
        unset($properties['name']);
        $geometry = is_array($feature) ? ($feature['geometry'] ?? null) : null;
        if (!is_array($geometry)) {
            return [Entry::bad($row, $name, 'It has no geometry.', $properties)];
        }
        $pieces = self::pieces($geometry);
        $out = [];
        foreach ($pieces as $i => $piece) {
            $called = count($pieces) > 1 ? trim($name . ' ' . ($i + 1)) : $name;
            try {
                $out[] = Entry::of($row, $called, Shape::fromGeoJson($piece), $properties);
            } catch (Refused $e) {
                $out[] = Entry::bad($row, $called, $e->faults[0]['message'], $properties);
            }
        }

        return $out === [] ? [Entry::bad($row, $name, 'Its geometry is empty.', $properties)] : $out;
    }

    /**
     * @param array<array-key, mixed> $geometry
     *
     * @return list<mixed>
     */
    private static function pieces(array $geometry): array
    {
        $type = is_string($geometry['type'] ?? null) ? $geometry['type'] : '';
        if ($type === 'GeometryCollection') {
            $all = is_array($geometry['geometries'] ?? null) ? $geometry['geometries'] : [];

            return array_merge(...array_map(static fn (mixed $g): array => is_array($g) ? self::pieces($g) : [$g], array_values($all)));
        }
        if (!str_starts_with($type, 'Multi')) {
            return [$geometry];
        }
        $parts = is_array($geometry['coordinates'] ?? null) ? array_values($geometry['coordinates']) : [];

        return array_map(static fn (mixed $part): array => ['type' => substr($type, 5), 'coordinates' => $part], $parts);
    }
}
