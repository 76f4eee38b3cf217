<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Positions;
use Thicket\Survey\Shape;
use Thicket\Survey\Thinning;

/**
 * One thing of a file of shapes: a placemark, waypoint, track, feature or table row. What the file says beyond name and
 * shape is kept word for word as properties; those that begin with "thicket_" are our own and stand apart.
 */
final readonly class Entry
{
    public const OURS = 'thicket_';

    /**
     * More than six: one shape of a file with what the file says of it.
     *
     * @param array<string, mixed> $properties of the file, kept for the way back
     * @param array<string, string> $ours without their prefix: what (patch or keeper), kind, setting ...
     */
    private function __construct(
        /** Place in the file, from 1, as a person would count. */
        public int $row,
        public string $name,
        public ?Shape $shape,
        public array $properties,
        public array $ours,
        /** What is wrong with it and how to mend it; null where it can be taken. */
        public ?string $fault,
        /** What was done to it so that it can be taken; null where it is as it came. */
        public ?string $note = null,
    ) {}

    /** @param array<string, mixed> $properties */
    public static function of(int $row, string $name, Shape $shape, array $properties = []): self
    {
        [$own, $ours] = self::parted($properties);

        return new self($row, self::plain($name), $shape, $own, $ours, null);
    }

    /**
     * From a GeoJSON geometry; a line with more positions than a line may have is thinned, which the entry tells.
     *
     * @param array<array-key, mixed> $geometry
     * @param array<string, mixed> $properties
     */
    public static function read(int $row, string $name, array $geometry, array $properties = []): self
    {
        try {
            $count =
                ($geometry['type'] ?? null) === 'LineString' && is_array($geometry['coordinates'] ?? null)
                    ? count($geometry['coordinates'])
                    : 0;
            $thinned =
                $count > Shape::MOST_POSITIONS
                    ? Thinning::line(Positions::line($geometry['coordinates'], '/coordinates'))
                    : null;
            $entry = self::of(
                $row,
                $name,
                Shape::fromGeoJson($thinned === null ? $geometry : ['coordinates' => $thinned['line']] + $geometry),
                $properties,
            );

            return $thinned === null
                ? $entry
                : new self(
                    $row,
                    $entry->name,
                    $entry->shape,
                    $entry->properties,
                    $entry->ours,
                    null,
                    'Thinned from ' .
                        number_format($count) .
                        ' to ' .
                        number_format(count($thinned['line'])) .
                        " positions; none that was left out lies more than {$thinned['metres']} m (" .
                        number_format((float) $thinned['metres'] / 0.3048, 1) .
                        ' ft) off the line.',
                );
        } catch (Refused $e) {
            return self::bad($row, $name, $e->faults[0]['message'], $properties);
        }
    }

    /** @param array<string, mixed> $properties */
    public static function bad(int $row, string $name, string $fault, array $properties = []): self
    {
        [$own, $ours] = self::parted($properties);

        return new self($row, self::plain($name), null, $own, $ours, $fault);
    }

    /** @return array<string, mixed> properties of the file and, prefixed, our own: what a writer writes */
    public function all(): array
    {
        $out = $this->properties;
        foreach ($this->ours as $key => $value) {
            $out[self::OURS . $key] = $value;
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $properties
     *
     * @return array{array<string, mixed>, array<string, string>}
     */
    private static function parted(array $properties): array
    {
        $own = [];
        $ours = [];
        foreach ($properties as $key => $value) {
            $key = (string) $key;
            if (str_starts_with($key, self::OURS)) {
                $ours[substr($key, strlen(self::OURS))] = is_scalar($value) ? (string) $value : '';
            } else {
                $own[$key] = $value;
            }
        }

        return [$own, $ours];
    }

    private static function plain(string $name): string
    {
        return mb_substr(trim((string) preg_replace('/[\p{Cc}\s]+/u', ' ', mb_scrub($name))), 0, 120);
    }
}
