<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Cutting, joining and hollowing outlines. Corners stay exactly where they were: only an edge zone has new ones made by
 * a width.
 */
final class OutlineEdit
{
    /** Outlines that a walker meant to touch lie this near; a wider gap is refused. */
    private const SNAP_METRES = 1.0;
    /** Slivers smaller than this that a cut leaves are dropped. */
    private const LEAST_PIECE_SQUARE_METRES = 1.0;

    private function __construct() {}

    /**
     * Both sides of a line through an outline, larger first.
     *
     * @param list<array{float, float}> $line
     *
     * @return list<Outline> two or more
     *
     * @throws Refused where the line does not go through
     */
    public static function split(Outline $outline, array $line): array
    {
        $edges = Geos::polygon($outline->rings)->boundary()->union(Geos::line($line));
        $whole = Geos::polygon($outline->rings);
        $pieces = [];
        foreach (geospolygonize($edges)['rings'] as $piece) {
            foreach (Geos::polygons($piece) as $rings) {
                $cut = Outline::trusted($rings);
                if ($whole->contains($piece->pointOnSurface()) && !$cut->area()->isLessThan(self::leastPiece())) {
                    $pieces[] = $cut;
                }
            }
        }
        if (count($pieces) < 2) {
            throw Refused::at(
                '/line',
                'The line does not cut this patch in two; begin and end it outside the outline.',
            );
        }
        usort($pieces, static fn(Outline $a, Outline $b): int => $b->area()->compareTo($a->area()));

        return $pieces;
    }

    /**
     * @param list<Outline> $outlines two or more
     *
     * @throws Refused where they lie apart
     */
    public static function merge(array $outlines): Outline
    {
        $plane = LocalPlane::ofBox($outlines[0]->box());
        $joined = Geos::polygon($outlines[0]->rings);
        foreach (array_slice($outlines, 1) as $outline) {
            $joined = $joined->union(Geos::polygon($outline->rings));
        }
        $pieces = Geos::polygons($joined);
        if (count($pieces) > 1) {
            // a hand-walked seam: close gaps narrower than the snap by growing and shrinking
            $metres = Geos::polygon(array_map($plane->allMetres(...), $pieces[0]));
            foreach (array_slice($pieces, 1) as $piece) {
                $metres = $metres->union(Geos::polygon(array_map($plane->allMetres(...), $piece)));
            }
            $closed = Geos::polygons(
                Geos::buffer(Geos::buffer($metres, self::SNAP_METRES / 2), -self::SNAP_METRES / 2),
            );
            $pieces = array_map(
                static fn(array $rings): array => array_map($plane->allPositions(...), $rings),
                $closed,
            );
        }
        if (count($pieces) !== 1) {
            $gap = Nearest::between(Shape::ofOutline($outlines[0]), Shape::ofOutline($outlines[1]))->distance;
            throw Refused::at(
                '/patches',
                'These patches do not touch (' .
                    $gap->toWire()['value'] .
                    ' m apart); one outline is one piece of ground.',
            );
        }

        return Outline::trusted($pieces[0]);
    }

    /** @throws Refused where the hole is not inside or leaves nothing */
    public static function hollow(Outline $outline, Outline $hole): Outline
    {
        $whole = Geos::polygon($outline->rings);
        if (!$whole->contains(Geos::polygon($hole->rings))) {
            throw Refused::at('/hole', 'The hole must lie inside the outline.');
        }
        $left = Geos::polygons($whole->difference(Geos::polygon($hole->rings)));
        if (count($left) !== 1) {
            throw Refused::at('/hole', 'The hole would cut the patch in pieces; split it instead.');
        }

        return Outline::trusted($left[0]);
    }

    /**
     * The strip inside the edge, and what is left in the middle (a scattered edge and a solid core are counted apart).
     *
     * @return array{edge: Outline, core: Outline}
     *
     * @throws Refused where the patch is too narrow or its core falls into pieces
     */
    public static function edgeAndCore(Outline $outline, Quantity $width): array
    {
        $plane = LocalPlane::ofBox($outline->box());
        $whole = Geos::polygon(array_map($plane->allMetres(...), $outline->rings));
        $pieces = Geos::polygons(Geos::buffer($whole, -$width->in(Unit::Metre)->toFloat()));
        if (count($pieces) !== 1) {
            throw Refused::at(
                '/edgeWidth',
                $pieces === []
                    ? 'The patch is nowhere wide enough for that edge.'
                    : 'That edge would leave a core in ' .
                        count($pieces) .
                        ' pieces; take a narrower edge, or split the patch.',
            );
        }
        $core = array_map($plane->allPositions(...), $pieces[0]);
        $edge = Geos::polygons(Geos::polygon($outline->rings)->difference(Geos::polygon($core)));
        if (count($edge) !== 1) {
            throw Refused::at('/edgeWidth', 'That edge would fall into pieces.');
        }

        return ['edge' => Outline::trusted($edge[0]), 'core' => Outline::trusted($core)];
    }

    private static function leastPiece(): Quantity
    {
        return Quantity::of((string) self::LEAST_PIECE_SQUARE_METRES, Unit::SquareMetre);
    }
}
