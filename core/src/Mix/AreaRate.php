<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Product by treated area (handbook 3, sum 5): total = rate x area; per load = rate x tank / spray volume.
 * Works for liquid rates (volume per area) and dry ones (mass per area).
 */
final readonly class AreaRate
{
    private function __construct(
        public Quantity $product,
        public ?Quantity $spray,
        public ?TankPlan $loads,
        public ?Quantity $productPerLoad,
    ) {}

    /**
     * @param Quantity $rate product per area
     * @param Quantity $area the treated area, not the whole ground
     * @param Quantity|null $sprayVolume mix per area; with a tank it gives the loads
     * @param int $passes times the ground is covered
     */
    public static function of(
        Quantity $rate,
        Quantity $area,
        ?Quantity $sprayVolume = null,
        ?Quantity $tank = null,
        int $passes = 1,
    ): self {
        $area->mustMatch(Dimension::Area);
        $product = self::over($rate, $area)->times($passes);
        $spray =
            $sprayVolume === null
                ? null
                : self::over($sprayVolume->mustMatch(Dimension::VolumePerArea), $area)->times($passes);
        $loads = $spray === null || $tank === null ? null : TankPlan::of($spray, $tank);
        $perLoad =
            $loads === null || $sprayVolume === null
                ? null
                : self::over($rate, $area)->times($loads->tank->per(self::over($sprayVolume, $area)));

        return new self($product, $spray, $loads, $perLoad);
    }

    /** Rate times area, in a plain unit: litres or grams. */
    public static function over(Quantity $rate, Quantity $area): Quantity
    {
        $squareMetres = $area->in(Unit::SquareMetre);

        return match ($rate->dimension()) {
            Dimension::VolumePerArea => Quantity::of(
                $rate->in(Unit::LitrePerSquareMetre)->multipliedBy($squareMetres),
                Unit::Litre,
            ),
            Dimension::MassPerArea => Quantity::of(
                $rate->in(Unit::KilogramPerHectare)->dividedBy(10)->multipliedBy($squareMetres),
                Unit::Gram,
            ),
            default => throw \Thicket\Measure\Exception\UnitMismatch::wanted(Dimension::VolumePerArea, $rate->unit),
        };
    }
}
