<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;

/**
 * Spaced cuts (handbook 2 "Hack and squirt"): cuts per tree = diameter or girth over spacing, rounded up per tree.
 * Rounding up never lifts the dose above a label mL per tree: mL per cut is capped at label mL / cuts.
 */
final readonly class Injection
{
    /** More than six: what the sum of cuts is made of and what it gives. */
    private function __construct(
        public int $cuts,
        public int $treated,
        public int $skipped,
        public Quantity $mix,
        public bool $cappedByLabel,
        /**
         * Stems of classes that a limit parts: counted in treated and mix, and perhaps not to be treated at all
         * (rulings B11).
         */
        public int $unclear,
        /** Mix for the stems that surely are. */
        public Quantity $mixLeast,
    ) {}

    /**
     * @param list<StemGroup> $stems
     * @param Quantity $perCut mix per cut
     * @param Quantity|null $most stems thicker than this are left out and counted; exactly on it still fits
     * @param Quantity|null $least stems thinner than this are left out and counted
     * @param Quantity|null $labelPerStem most mix per tree on the card
     */
    public static function of(
        array $stems,
        CutSpacing $spacing,
        Quantity $perCut,
        ?Quantity $most = null,
        ?Quantity $least = null,
        ?Quantity $labelPerStem = null,
    ): self {
        $cuts = $treated = $skipped = $unclear = 0;
        $capped = false;
        $mix = $mixLeast = Quantity::zero(Unit::Millilitre);
        foreach ($stems as $group) {
            $diameter = $group->forCeilings();
            if (
                ($most !== null && $group->against($most, true) === 'beyond') ||
                ($least !== null && $group->forCeilings()->isLessThan($least))
            ) {
                $skipped += $group->count;
                continue;
            }
            $perTree = $spacing->cutsOn($diameter);
            $dose = $perCut;
            if ($labelPerStem !== null && $perCut->times($perTree)->isGreaterThan($labelPerStem)) {
                $dose = $labelPerStem->dividedBy($perTree);
                $capped = true;
            }
            $cuts += $perTree * $group->count;
            $treated += $group->count;
            $ofGroup = $dose->times($perTree)->times($group->count);
            $mix = $mix->plus($ofGroup);
            if (
                ($most !== null && $group->against($most, true) === 'split') ||
                ($least !== null && $group->against($least, false) === 'split')
            ) {
                $unclear += $group->count;
            } else {
                $mixLeast = $mixLeast->plus($ofGroup);
            }
        }

        return new self($cuts, $treated, $skipped, $mix, $capped, $unclear, $mixLeast);
    }

    public static function girth(Quantity $diameter): Quantity
    {
        return $diameter->times(Pi::value());
    }

    /** Centre-to-centre distance between cuts round this stem. */
    public static function spacingRound(Quantity $diameter, int $cuts): Quantity
    {
        return self::girth($diameter)->dividedBy(BigRational::of($cuts));
    }
}
