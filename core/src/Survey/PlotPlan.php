<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Random\Engine\PcgOneseq128XslRr64;
use Random\Randomizer;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Where to put sample plots inside an outline: at random, or on a square grid with a random start. The same seed gives
 * the same plots. Centres lie anywhere inside, so that the edge is sampled as the middle is; a plot cut by the edge
 * carries the area that lies inside, which the estimate uses.
 */
final class PlotPlan
{
    public const PLACEMENTS = ['random', 'systematic'];
    public const MOST_PLOTS = 200;
    private const TRIES_PER_PLOT = 2000;
    private const STEPS_OF_CHANCE = 2 ** 53;

    private function __construct() {}

    /**
     * @return list<array{position: array{float, float}, inside: Quantity}> in the order to walk: west to east in strips
     *
     * @throws Refused where the plots cannot stand apart in the outline
     */
    public static function place(Outline $outline, int $plots, Quantity $radius, string $placement, int $seed): array
    {
        $plane = LocalPlane::ofBox($outline->box());
        $whole = Geos::polygon(array_map($plane->allMetres(...), $outline->rings));
        $r = $radius->in(Unit::Metre)->toFloat();
        if ($plots * M_PI * $r * $r > $whole->area()) {
            throw Refused::at(
                '/plots',
                'So many plots of that size are more than the whole patch; count it all instead.',
            );
        }
        $random = new Randomizer(new PcgOneseq128XslRr64($seed));
        $centres =
            $placement === 'random'
                ? self::random($whole, $plots, $r, $random)
                : self::systematic($whole, $plots, $random);
        usort(
            $centres,
            static fn(array $a, array $b): int => [floor($a[1] / (4 * $r)), $a[0]] <=> [floor($b[1] / (4 * $r)), $b[0]],
        );
        $out = [];
        foreach ($centres as $centre) {
            // a circle drawn by its corners is a little too small; the share of it inside is what counts
            $circle = Geos::buffer(Geos::point($centre), $r);
            $share = $whole->intersection($circle)->area() / $circle->area();
            $out[] = [
                'position' => $plane->position($centre),
                'inside' => Quantity::of(
                    number_format(min(1.0, $share) * M_PI * $r * $r, 2, '.', ''),
                    Unit::SquareMetre,
                ),
            ];
        }

        return $out;
    }

    /** @return list<array{float, float}> */
    private static function random(\GEOSGeometry $whole, int $plots, float $radius, Randomizer $random): array
    {
        [$west, $south, $east, $north] = self::box($whole);
        $out = [];
        for ($try = 0; count($out) < $plots && $try < $plots * self::TRIES_PER_PLOT; ++$try) {
            $point = [self::between($random, $west, $east), self::between($random, $south, $north)];
            $apart =
                array_filter(
                    $out,
                    static fn(array $o): bool => hypot($o[0] - $point[0], $o[1] - $point[1]) < 2 * $radius,
                ) === [];
            if ($apart && $whole->contains(Geos::point($point))) {
                $out[] = $point;
            }
        }
        if (count($out) < $plots) {
            throw Refused::at(
                '/plots',
                'Only ' . count($out) . ' plots of that size stand apart in this patch; take fewer or smaller ones.',
            );
        }

        return $out;
    }

    /**
     * A grid whose spacing is tightened or loosened until it gives the wanted number, as near as a grid comes.
     *
     * @return list<array{float, float}>
     */
    private static function systematic(\GEOSGeometry $whole, int $plots, Randomizer $random): array
    {
        [$west, $south, $east, $north] = self::box($whole);
        $start = [self::between($random, 0, 1), self::between($random, 0, 1)];
        $spacing = sqrt($whole->area() / $plots);
        $best = [];
        foreach ([1.0, 0.98, 1.02, 0.96, 1.04, 0.93, 1.07, 0.9, 1.1, 0.86, 1.14, 0.8, 0.7, 0.6] as $factor) {
            $step = $spacing * $factor;
            $found = [];
            for ($x = $west + $start[0] * $step; $x <= $east; $x += $step) {
                for ($y = $south + $start[1] * $step; $y <= $north; $y += $step) {
                    if ($whole->contains(Geos::point([$x, $y]))) {
                        $found[] = [$x, $y];
                    }
                }
            }
            if ($best === [] || abs(count($found) - $plots) < abs(count($best) - $plots)) {
                $best = $found;
            }
            if (count($best) === $plots) {
                break;
            }
        }
        if ($best === []) {
            throw Refused::at('/plots', 'A grid finds no room in this patch; place them at random.');
        }

        return $best;
    }

    private static function between(Randomizer $random, float $least, float $most): float
    {
        return $least + (($most - $least) * $random->getInt(0, self::STEPS_OF_CHANCE - 1)) / self::STEPS_OF_CHANCE;
    }

    /** @return array{float, float, float, float} */
    private static function box(\GEOSGeometry $whole): array
    {
        return Positions::box(Geos::polygons($whole)[0][0] ?? []);
    }
}
