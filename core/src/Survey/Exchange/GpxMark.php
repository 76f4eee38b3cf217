<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

/** One waypoint, route or track of a GPX file while it is read. */
final class GpxMark
{
    private string $name = '';

    /** @var array<string, string> */
    private array $properties = [];

    /** @var list<list<array{float, float}>> */
    private array $lines = [];

    private ?string $fault = null;

    public function __construct(private readonly int $row, private readonly string $kind, public readonly int $depth) {}

    public function begin(\XMLReader $node, FileBudget $budget): void
    {
        if ($this->kind === 'wpt') {
            $this->lines = [[]];
            $this->position($node, $budget);
        } elseif ($this->kind === 'rte') {
            $this->lines = [[]];
        }
    }

    /** An element below the mark: its name, a property, a segment or a position. */
    public function take(\XMLReader $node, FileBudget $budget): void
    {
        $called = $node->localName;
        if ($called === 'trkseg') {
            $this->lines[] = [];
        } elseif ($called === 'trkpt' || $called === 'rtept') {
            $this->position($node, $budget);
        } elseif ($called === 'property') {
            $this->properties[(string) $node->getAttribute('name')] = $node->readString();
        } elseif (
            $node->depth === $this->depth + 1 &&
            ($called === 'name' || in_array($called, GpxFile::PLAIN, true))
        ) {
            $called === 'name'
                ? ($this->name = $node->readString())
                : ($this->properties[$called] = $node->readString());
        }
    }

    /** @return \Generator<int, Entry> */
    public function entries(): \Generator
    {
        $lines = array_values(array_filter($this->lines));
        if ($this->fault !== null || $lines === []) {
            yield Entry::bad($this->row, $this->name, $this->fault ?? 'It has no positions.', $this->properties);

            return;
        }
        if ($this->kind === 'wpt') {
            yield Entry::read(
                $this->row,
                $this->name,
                ['type' => 'Point', 'coordinates' => $lines[0][0]],
                $this->properties,
            );

            return;
        }
        // segments that all end where they began are an outline with its holes
        if (array_filter($lines, static fn(array $l): bool => count($l) < 4 || $l[0] !== $l[count($l) - 1]) === []) {
            yield Entry::read(
                $this->row,
                $this->name,
                ['type' => 'Polygon', 'coordinates' => $lines],
                $this->properties,
            );

            return;
        }
        foreach ($lines as $i => $line) {
            yield Entry::read(
                $this->row,
                count($lines) > 1 ? trim($this->name . ' ' . ($i + 1)) : $this->name,
                ['type' => 'LineString', 'coordinates' => $line],
                $this->properties,
            );
        }
    }

    private function position(\XMLReader $node, FileBudget $budget): void
    {
        $budget->positions(1);
        [$lat, $lon] = [$node->getAttribute('lat'), $node->getAttribute('lon')];
        $last = max(0, count($this->lines) - 1);
        $n = count($this->lines[$last] ?? []) + 1;
        if (!is_numeric($lat) || !is_numeric($lon)) {
            $this->fault ??= "Position {$n} has no readable lat and lon.";

            return;
        }
        $this->lines[$last][] = [(float) $lon, (float) $lat];
    }
}
