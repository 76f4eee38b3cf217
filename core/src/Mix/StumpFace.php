<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;

/**
 * Stump surface to treat (handbook 2): under 6 in the whole face, from 6 in the outer living ring of 1 in,
 * pi x w x (D - w); oil mixes also the sides down to the ground, pi x D x height (rulings J21).
 */
final readonly class StumpFace
{
    /** Side height of an oil-treated stump where nobody measured it (rulings J21). */
    private const SIDES_INCHES = 4;

    private function __construct(public Quantity $area, public bool $whole) {}

    public static function usualSides(): Quantity
    {
        return Quantity::of(self::SIDES_INCHES, Unit::Inch);
    }

    public static function ofOne(
        Quantity $diameter,
        Quantity $ringFrom,
        Quantity $ringWidth,
        ?Quantity $sidesHeight = null,
    ): self {
        $d = $diameter->in(Unit::Metre);
        $w = $ringWidth->in(Unit::Metre);
        // a ring of half the stump and more leaves no middle
        $whole = $diameter->isLessThan($ringFrom) || $w->multipliedBy(2)->isGreaterThanOrEqualTo($d);
        $face = $whole ? $d->multipliedBy($d)->dividedBy(4) : $w->multipliedBy($d->minus($w));
        if ($sidesHeight !== null) {
            $face = $face->plus($d->multipliedBy($sidesHeight->in(Unit::Metre)));
        }

        return new self(Quantity::of($face->multipliedBy(Pi::value()), Unit::SquareMetre), $whole);
    }

    /** @param list<StemGroup> $stems */
    public static function total(
        array $stems,
        Quantity $ringFrom,
        Quantity $ringWidth,
        ?Quantity $sidesHeight = null,
    ): Quantity {
        $area = Quantity::zero(Unit::SquareMetre);
        foreach ($stems as $group) {
            $area = $area->plus(
                self::ofOne($group->forSums(), $ringFrom, $ringWidth, $sidesHeight)->area->times($group->count),
            );
        }

        return $area;
    }
}
