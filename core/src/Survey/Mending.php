<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;

/**
 * Reads an outline that somebody brings, mends what can only have one meaning and says so: a ring left open ('closed'),
 * a corner said twice ('repeated'), latitude first where only the swapped reading lies by the ground ('swapped'). What
 * lies far from the ground either way is refused.
 */
final readonly class Mending
{
    private const FAR_METRES = 100_000;

    /** @param list<string> $mended codes of what was mended */
    private function __construct(public Outline $outline, public array $mended) {}

    /**
     * @param array{float, float}|null $near the ground's position; null where it is not known
     *
     * @throws Refused with the pointer of what is wrong and how to mend it
     */
    public static function outline(mixed $json, ?array $near, string $pointer = ''): self
    {
        $mended = [];
        $swapped = $near === null ? null : self::swapped($json, $near);
        if ($swapped !== null) {
            $json = $swapped;
            $mended[] = 'swapped';
        }
        $outline = Outline::fromGeoJson($json, $pointer);
        $near === null || self::mustBeNear($outline->rings[0][0], $near, $pointer);
        foreach (self::rings($json) as $ring) {
            $ring = array_values($ring);
            if ($ring !== [] && $ring[0] !== $ring[count($ring) - 1]) {
                $mended[] = 'closed';
            }
            for ($i = 1; $i < count($ring); ++$i) {
                $ring[$i] === $ring[$i - 1] && ($mended[] = 'repeated');
            }
        }

        return new self($outline, array_values(array_unique($mended)));
    }

    /**
     * @param array{float, float} $position
     * @param array{float, float} $near
     *
     * @throws Refused
     */
    public static function mustBeNear(array $position, array $near, string $pointer): void
    {
        if (!self::isNear($position, $near)) {
            throw Refused::at(
                $pointer,
                'This lies ' .
                    number_format(Ellipsoid::inverse($near, $position)['distance'] / 1000) .
                    ' km from the ground; check the positions, or make a ground there.',
            );
        }
    }

    /**
     * @param array{float, float} $position
     * @param array{float, float} $near
     */
    private static function isNear(array $position, array $near): bool
    {
        // the mid-latitude formula is meant for short ways; a degree is already too far
        return abs($position[1] - $near[1]) < 2 &&
            abs($position[0] - $near[0]) < 5 &&
            Ellipsoid::inverse($near, $position)['distance'] <= self::FAR_METRES;
    }

    /**
     * The document with its axes turned where only that reading lies by the ground; null where it may stay.
     *
     * @param array{float, float} $near
     *
     * @return array<array-key, mixed>|null
     */
    private static function swapped(mixed $json, array $near): ?array
    {
        $first = self::rings($json)[0][0] ?? null;
        if (!is_array($json) || !is_array($first) || !is_numeric($first[0] ?? null) || !is_numeric($first[1] ?? null)) {
            return null;
        }
        $as = [(float) $first[0], (float) $first[1]];
        if (self::isNear($as, $near) || !self::isNear([$as[1], $as[0]], $near)) {
            return null;
        }
        $turn = static fn(mixed $p): mixed => is_array($p) && isset($p[0], $p[1]) ? [$p[1], $p[0]] : $p;

        return [
            'type' => 'Polygon',
            'coordinates' => array_map(static fn(array $ring): array => array_map($turn, $ring), self::rings($json)),
        ];
    }

    /** @return list<array<array-key, mixed>> */
    private static function rings(mixed $json): array
    {
        if (!is_array($json)) {
            return [];
        }

        return match ($json['type'] ?? null) {
            'FeatureCollection' => self::rings(
                is_array($json['features'] ?? null) ? $json['features'][0] ?? null : null,
            ),
            'Feature' => self::rings($json['geometry'] ?? null),
            'Polygon' => array_values(
                array_filter(is_array($json['coordinates'] ?? null) ? $json['coordinates'] : [], is_array(...)),
            ),
            default => [],
        };
    }
}
