<?php

declare(strict_types=1);

namespace App\Print;

use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Measure\Unit;
use Thicket\Survey\LocalPlane;
use Thicket\Survey\Positions;

/**
 * The map page of a job sheet: the patch with what lies near, scale bar and north, drawn as SVG from the sheet's own
 * copy of the shapes.
 */
final class SheetMap
{
    private const WIDTH = 700.0;
    private const HEIGHT = 620.0;
    private const MARGIN = 34.0;
    /** The patch fills this share of the picture, so that what is near shows too. */
    private const PATCH_SHARE = 0.3;
    private const LETTER = 5.6;

    private readonly LocalPlane $plane;

    private readonly float $pixelsPerMetre;

    /** @var list<array{float, float, float, float}> boxes taken by labels */
    private array $taken = [];

    /** @var array<string, array{ink: string, glyph: string, width: float|int, dash?: list<int>}> */
    private readonly array $marks;

    private readonly string $thorn;

    /**
     * @param array{
     *     patch: array{name: string, shape: array{type: string, coordinates: list<list<array{float, float}>>}},
     *     near: list<array{name: string, kind: string, shape: array{type: string, coordinates: list<mixed>}}>,
     * } $map
     */
    private function __construct(private readonly array $map)
    {
        $box = Positions::box($map['patch']['shape']['coordinates'][0]);
        $this->plane = LocalPlane::ofBox($box);
        [$west, $south, $east, $north] = Positions::box(
            $this->plane->allMetres($map['patch']['shape']['coordinates'][0]),
        );
        $this->pixelsPerMetre =
            self::PATCH_SHARE * min(self::WIDTH / max(1.0, $east - $west), self::HEIGHT / max(1.0, $north - $south));
        /**
         * @var array{
         *     thorn: string,
         *     kinds: array<string, array{ink: string, glyph: string, width: float|int, dash?: list<int>}>,
         * } $marks
         */
        $marks = json_decode((string) file_get_contents(resource_path('marks.json')), true, 8, JSON_THROW_ON_ERROR);
        $this->marks = $marks['kinds'];
        $this->thorn = $marks['thorn'];
    }

    /**
     * @param array{
     *     patch: array{name: string, shape: array{type: string, coordinates: list<list<array{float, float}>>}},
     *     near: list<array{name: string, kind: string, shape: array{type: string, coordinates: list<mixed>}}>,
     * } $map
     */
    public static function svg(array $map, System $system): string
    {
        return (new self($map))->draw($system);
    }

    private function draw(System $system): string
    {
        $rings = $this->map['patch']['shape']['coordinates'];
        $inner =
            '<path d="' .
            implode(' ', array_map(fn(array $ring): string => $this->path($ring) . 'Z', $rings)) .
            '" fill="#33286e" fill-opacity="0.12" fill-rule="evenodd" stroke="#33286e" stroke-width="2.4"/>';
        [$x, $y] = $this->middle($rings[0]);
        $labels =
            $this->mark($this->thorn, '#33286e', $x, $y) .
            $this->label($this->map['patch']['name'], $x, $y + 21, '#10241b', true);
        foreach ($this->map['near'] as $thing) {
            [$shape, $label] = $this->thing($thing);
            $inner .= $shape;
            $labels .= $label;
        }

        return '<svg xmlns="http://www.w3.org/2000/svg" width="100%" viewBox="0 0 ' .
            self::WIDTH .
            ' ' .
            self::HEIGHT .
            '" font-family="Hyper" font-size="11">' .
            '<rect width="' .
            self::WIDTH .
            '" height="' .
            self::HEIGHT .
            '" fill="#ffffff" stroke="#a8b5ab"/><svg x="0" y="0" width="' .
            self::WIDTH .
            '" height="' .
            self::HEIGHT .
            '">' .
            $inner .
            '</svg>' .
            $labels .
            $this->scaleBar($system) .
            $this->north() .
            '</svg>';
    }

    /**
     * @param array{name: string, kind: string, shape: array{type: string, coordinates: list<mixed>}} $thing
     *
     * @return array{string, string} the drawing, and its mark with the name where there is room
     */
    private function thing(array $thing): array
    {
        $mark = $this->marks[$thing['kind']] ?? $this->marks['tree'];
        $colour =
            ['moss' => '#1d4d2b', 'rime' => '#34495c', 'bark' => '#553a27', 'ink' => '#10241b'][$mark['ink']] ??
            '#10241b';
        $type = $thing['shape']['type'];
        /** @var list<array{float, float}> $positions */
        $positions = match ($type) {
            'Point' => [$thing['shape']['coordinates']],
            'LineString' => $thing['shape']['coordinates'],
            default => $thing['shape']['coordinates'][0],
        };
        $dash = isset($mark['dash']) ? ' stroke-dasharray="' . implode(' ', $mark['dash']) . '"' : '';
        $drawing =
            $type === 'Point'
                ? ''
                : '<path d="' .
                    $this->path($positions) .
                    ($type === 'Polygon' ? 'Z" fill="' . $colour . '" fill-opacity="0.1"' : '" fill="none"') .
                    ' stroke="' .
                    $colour .
                    '" stroke-width="' .
                    $mark['width'] .
                    '"' .
                    $dash .
                    '/>';
        $inside = array_values(
            array_filter(
                array_map($this->pixels(...), $positions),
                static fn(array $p): bool => $p[0] > 0 && $p[0] < self::WIDTH && $p[1] > 0 && $p[1] < self::HEIGHT,
            ),
        );
        if ($inside === []) {
            return [$drawing, ''];
        }
        [$x, $y] = $type === 'Polygon' ? $this->middle($positions) : $inside[intdiv(count($inside), 2)];

        return [
            $drawing,
            $this->mark($mark['glyph'], $colour, $x, $y) . $this->label($thing['name'], $x, $y + 21, $colour),
        ];
    }

    /** A name below its mark, above it or beside it, wherever nothing stands yet; left out where there is no room. */
    private function label(string $name, float $x, float $y, string $colour, bool $bold = false): string
    {
        $half = (mb_strlen($name) * self::LETTER) / 2 + 3;
        foreach ([[0, 0], [0, -36], [$half + 12, -17], [-$half - 12, -17]] as [$dx, $dy]) {
            $box = [$x + $dx - $half, $y + $dy - 10, $x + $dx + $half, $y + $dy + 3];
            $free = $box[0] > 2 && $box[2] < self::WIDTH - 2 && $box[1] > 2 && $box[3] < self::HEIGHT - 2;
            foreach ($this->taken as $other) {
                $free =
                    $free && ($box[2] < $other[0] || $box[0] > $other[2] || $box[3] < $other[1] || $box[1] > $other[3]);
            }
            if ($free) {
                $this->taken[] = $box;

                return sprintf(
                    '<text x="%.1f" y="%.1f" text-anchor="middle" font-weight="%d" fill="%s" stroke="#ffffff" ' .
                        'stroke-width="3" paint-order="stroke">%s</text>',
                    $x + $dx,
                    $y + $dy,
                    $bold ? 700 : 600,
                    $colour,
                    htmlspecialchars($name, ENT_XML1),
                ) .
                    // WeasyPrint paints the outline over the letters, so they are set once more
                    sprintf(
                        '<text x="%.1f" y="%.1f" text-anchor="middle" font-weight="%d" fill="%s">%s</text>',
                        $x + $dx,
                        $y + $dy,
                        $bold ? 700 : 600,
                        $colour,
                        htmlspecialchars($name, ENT_XML1),
                    );
            }
        }

        return '';
    }

    private function mark(string $glyph, string $colour, float $x, float $y): string
    {
        $this->taken[] = [$x - 9, $y - 9, $x + 9, $y + 9];

        return sprintf(
            '<g transform="translate(%.1f %.1f)"><circle cx="8" cy="8" r="9" fill="#ffffff"/><path d="%s" ' .
                'fill="none" stroke="%s" stroke-width="1.8" stroke-linecap="round" stroke-linejoin="round"/></g>',
            $x - 8,
            $y - 8,
            $glyph,
            $colour,
        );
    }

    /** @param list<array{float, float}> $positions */
    private function path(array $positions): string
    {
        return 'M' .
            implode('L', array_map(fn(array $p): string => vsprintf('%.1f %.1f', $this->pixels($p)), $positions));
    }

    /**
     * @param array{float, float} $position
     *
     * @return array{float, float}
     */
    private function pixels(array $position): array
    {
        [$east, $north] = $this->plane->metres($position);

        return [self::WIDTH / 2 + $east * $this->pixelsPerMetre, self::HEIGHT / 2 - $north * $this->pixelsPerMetre];
    }

    /**
     * @param list<array{float, float}> $ring
     *
     * @return array{float, float}
     */
    private function middle(array $ring): array
    {
        [$west, $south, $east, $north] = Positions::box(array_map($this->pixels(...), $ring));

        return [($west + $east) / 2, ($south + $north) / 2];
    }

    private function scaleBar(System $system): string
    {
        $unit = $system === System::Us ? Unit::Foot : Unit::Metre;
        $room = 150 / $this->pixelsPerMetre / Quantity::of(1, $unit)->float(Unit::Metre);
        $step = 10 ** floor(log10($room));
        $long = $step * ($room >= 5 * $step ? 5 : ($room >= 2 * $step ? 2 : 1));
        $bar = Quantity::of((string) $long, $unit);
        $pixels = $bar->float(Unit::Metre) * $this->pixelsPerMetre;
        $y = self::HEIGHT - 14;

        return sprintf(
            '<path d="M%1$.1f %2$.1fv6h%3$.1fv-6" fill="none" stroke="#10241b" stroke-width="2"/><text ' .
                'x="%4$.1f" y="%5$.1f">%6$s</text>',
            self::MARGIN / 2,
            $y - 6,
            $pixels,
            self::MARGIN / 2 + $pixels + 6,
            $y,
            Shown::in($bar, $system),
        );
    }

    private function north(): string
    {
        return sprintf(
            '<g transform="translate(%.1f 36)"><path d="M0 0V-24M-6 -14 0 -24 6 -14" fill="none" ' .
                'stroke="#10241b" stroke-width="2"/><text x="0" y="14" text-anchor="middle" ' .
                'font-weight="700">N</text></g>',
            self::WIDTH - self::MARGIN,
        );
    }
}
