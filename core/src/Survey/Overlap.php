<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Measure\Quantity;

/**
 * What was put on ground that several outlines share: the heaviest total on any spot of one patch, since a yearly
 * ceiling holds for every spot and not on the average (rulings J7). The patch is cut by each outline in turn; slivers
 * of shared fences are left out.
 */
final readonly class Overlap
{
    private const LEAST_SQUARE_METRES = 1.0;
    /** With more than these the totals are added up as if all lay on one spot, which only errs on the safe side. */
    private const MOST_CUTS = 12;

    private function __construct() {}

    /**
     * @param list<array{outline: Outline, load: Quantity}> $loads amounts per area, all of one kind
     *
     * @return Quantity|null null where nothing reaches the patch
     */
    public static function heaviest(Outline $patch, array $loads): ?Quantity
    {
        $plane = LocalPlane::ofBox($patch->box());
        $polygon = static fn(Outline $outline): \GEOSGeometry => Geos::polygon(
            array_map($plane->allMetres(...), $outline->rings),
        );
        $whole = $polygon($patch);
        /** @var list<array{shape: \GEOSGeometry, load: Quantity}> $reaching */
        $reaching = [];
        foreach ($loads as $one) {
            $shape = $whole->intersection($polygon($one['outline']));
            if ($shape->area() >= self::LEAST_SQUARE_METRES) {
                $reaching[] = ['shape' => $shape, 'load' => $one['load']];
            }
        }
        if ($reaching === []) {
            return null;
        }
        $zero = Quantity::zero($reaching[0]['load']->unit);
        if (count($reaching) > self::MOST_CUTS) {
            return array_reduce(
                $reaching,
                static fn(Quantity $sum, array $one): Quantity => $sum->plus($one['load']),
                $zero,
            );
        }
        $spots = [['shape' => $whole, 'load' => $zero]];
        foreach ($reaching as $one) {
            $cut = [];
            foreach ($spots as $spot) {
                $in = $spot['shape']->intersection($one['shape']);
                $out = $spot['shape']->difference($one['shape']);
                $in->area() >= self::LEAST_SQUARE_METRES &&
                    ($cut[] = ['shape' => $in, 'load' => $spot['load']->plus($one['load'])]);
                $out->area() >= self::LEAST_SQUARE_METRES && ($cut[] = ['shape' => $out, 'load' => $spot['load']]);
            }
            $spots = $cut;
        }

        return array_reduce(
            $spots,
            static fn(Quantity $most, array $spot): Quantity => $spot['load']->isGreaterThan($most)
                ? $spot['load']
                : $most,
            $zero,
        );
    }
}
