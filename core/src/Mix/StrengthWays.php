<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Active;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/**
 * One strength in every way that people write it, side by side (handbook 3 "Ways strength is written"). "1:4" is one
 * part in five: the way of parts is told with its carrier. Active per litre only where the card gives the product's
 * content on a basis that allows it.
 */
final readonly class StrengthWays
{
    private const UNITS = [
        Unit::PercentProduct,
        Unit::MillilitrePerLitre,
        Unit::UsFluidOuncePerUsGallon,
        Unit::UsTeaspoonPerUsGallon,
        Unit::ImperialFluidOuncePerImperialGallon,
    ];

    /**
     * @param list<Quantity> $written the same strength in each unit
     * @param BigRational|null $carrierParts carrier to one part of product; null for pure product or none
     * @param Quantity|null $active per litre of finished mix, on the basis of the card
     */
    private function __construct(public array $written, public ?BigRational $carrierParts, public ?Quantity $active) {}

    public static function of(Strength $strength, ?Quantity $content = null): self
    {
        $written = array_map(static fn(Unit $unit): Quantity => $strength->percent()->to($unit), self::UNITS);
        $parts =
            $strength->share->isZero() || $strength->share->isEqualTo(1)
                ? null
                : BigRational::one()->dividedBy($strength->share)->minus(1)->simplified();
        $active = null;
        if (
            $content !== null &&
            in_array(
                $content->dimension(),
                [Dimension::EquivalentPerVolume, Dimension::IngredientPerVolume, Dimension::MassPerVolume],
                true,
            )
        ) {
            $active = $content->times($strength->share);
        }

        return new self($written, $parts, $active);
    }

    /**
     * What somebody who reads the parts as "one in so many" would take it for, in whole percent: the trap of 1:4 read
     * as 25 %.
     */
    public function misread(): ?Quantity
    {
        return $this->carrierParts === null || $this->carrierParts->isZero()
            ? null
            : Quantity::of(
                BigRational::of(100)->dividedBy($this->carrierParts)->toScale(0, RoundingMode::HALF_UP),
                Unit::PercentProduct,
            );
    }
}
