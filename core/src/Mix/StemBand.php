<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;

/** Bark to wet in basal work (handbook 2): pi x diameter x band height a stem, times the wet film. */
final readonly class StemBand
{
    private function __construct(public Quantity $area, public int $treated, public int $skipped) {}

    public static function areaOfOne(Quantity $diameter, Quantity $band): Quantity
    {
        $squareMetres = $diameter->in(Unit::Metre)->multipliedBy($band->in(Unit::Metre))->multipliedBy(Pi::value());

        return Quantity::of($squareMetres, Unit::SquareMetre);
    }

    /**
     * @param list<StemGroup> $stems
     * @param Quantity|null $below stems at or above this are left out and counted (basal size, school basal-size)
     */
    public static function of(array $stems, Quantity $band, ?Quantity $below = null, bool $inclusive = false): self
    {
        $area = Quantity::zero(Unit::SquareMetre);
        $treated = $skipped = 0;
        foreach ($stems as $group) {
            if ($below !== null && $group->against($below, $inclusive) === 'beyond') {
                $skipped += $group->count;
                continue;
            }
            $area = $area->plus(self::areaOfOne($group->forSums(), $band)->times($group->count));
            $treated += $group->count;
        }

        return new self($area, $treated, $skipped);
    }

    /** Mix for an area at a film thickness. */
    public static function volume(Quantity $area, Quantity $film): Quantity
    {
        $litres = $area
            ->in(Unit::SquareMetre)
            ->multipliedBy($film->mustMatch(Dimension::VolumePerArea)->in(Unit::LitrePerSquareMetre));

        return Quantity::of($litres, Unit::Litre);
    }
}
