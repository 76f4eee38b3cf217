<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Catalogue\Coefficients;
use Thicket\Catalogue\CoverClass;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * The ground that gets the rate (handbook 2 "Strip or ring": treated area, not orchard area). What somebody measured
 * goes first; of a strip the share of the rows, 2 x each side / row spacing (worked case orchard-strip); else the whole
 * patch.
 */
final readonly class TreatedArea
{
    /**
     * What a spot spray wets: the share of the patch that the weed covers, else its plants times the ground one crown
     * covers. Neither known: null, never the whole patch.
     */
    private static function ofSpots(Situation $situation, Option $option, ?Quantity $patch): ?Quantity
    {
        $covered = self::covered($situation, $option, $patch);
        if ($covered !== null) {
            return $covered;
        }
        $plants = 0.0;
        foreach ($situation->stems as $group) {
            $plants += $group->count / $group->stemsPerClump;
        }
        if ($plants <= 0) {
            return null;
        }

        return self::underCrowns($option->coefficients(), self::crownClass($situation), (int) max(1, ceil($plants)));
    }

    /** Ground under the crowns of so many plants of one height class. */
    public static function underCrowns(Coefficients $coefficients, string $class, int $plants): Quantity
    {
        return $coefficients->crown($class)->times($plants);
    }

    /**
     * Ground that the weed covers, by a typed area or its cover class of coefficients.yaml; null where neither was
     * told.
     */
    public static function covered(Situation $situation, Option $option, ?Quantity $patch): ?Quantity
    {
        $typed = $situation->quantity(FactName::TreatedArea);
        $cover = $situation->word(FactName::TargetCover);
        if ($typed !== null || $cover === null || $patch === null) {
            return $typed;
        }
        foreach ($option->coefficients()->coverClasses() as $class) {
            if ($class->id === $cover) {
                return self::underCover($class, $patch);
            }
        }

        return null;
    }

    /** Ground under a cover class of coefficients.yaml: its middle percent of the area. */
    public static function underCover(CoverClass $class, Quantity $area): Quantity
    {
        return $area->times($class->middle());
    }

    /** Height class that volumes of leaf sprays and crowns go by (handbook 9). */
    public static function crownClass(Situation $situation): string
    {
        return self::classOfHeight(
            $situation->quantity(FactName::Height) ??
                ($situation->tallestTallied() ?? $situation->target?->greatestHeight()),
        );
    }

    /** @return string low where the height is not known */
    public static function classOfHeight(?Quantity $height): string
    {
        return match (true) {
            $height === null || $height->isLessThan(Quantity::of('0.5', Unit::Metre)) => 'low-carpet',
            $height->isLessThan(Quantity::of(1, Unit::Metre)) => 'shrub-under-1m',
            default => 'shrub-to-1-8m',
        };
    }

    /**
     * @return Quantity|null null where a strip's share or the patch's area is not known: the whole orchard never stands
     * in for it
     */
    public static function of(Situation $situation, Option $option, ?Quantity $patch): ?Quantity
    {
        $measured = $situation->quantity(FactName::TreatedArea);
        if ($measured !== null) {
            return $measured;
        }
        if ($option->isLeafSpray() && !$option->method->isOfArea()) {
            return self::ofSpots($situation, $option, $patch);
        }
        $inRows =
            $option->method->isInRows() ||
            ($option->goesOn('soil') && $situation->word(FactName::Setting) === 'orchard');
        if (!$inRows || $patch === null) {
            return $patch;
        }
        $rows = $situation->quantity(FactName::RowSpacing);
        $side = $situation->quantity(FactName::StripSide);
        if ($rows === null || $side === null || $rows->isZero()) {
            return null;
        }
        $share = self::shareOfRows($rows, $side);

        return $patch->times($share->isGreaterThan(1) ? 1 : $share);
    }

    /**
     * Share of an orchard that lies in strips along its rows: 2 x each side / row spacing (worked case orchard-strip).
     */
    public static function shareOfRows(Quantity $rowSpacing, Quantity $side): BigRational
    {
        return $side->times(2)->per($rowSpacing);
    }
}
