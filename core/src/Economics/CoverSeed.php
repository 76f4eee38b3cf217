<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Thicket\Catalogue\Cover;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * Which kind of cover is to be sown, and how much seed of it this ground takes (handbook 2; rates of
 * core/data/covers.yaml, typical).
 */
final readonly class CoverSeed
{
    private function __construct(public Cover $kind, public Quantity $rate, public ?Quantity $amount) {}

    /** Null where nobody told the kind, or nothing is sown. */
    public static function of(Situation $situation, Option $option): ?self
    {
        $told = $situation->word(FactName::CoverKind);
        $kind =
            array_values(
                array_filter($option->catalogue->covers(), static fn(Cover $kind): bool => $kind->id() === $told),
            )[0] ?? null;
        if ($kind === null || !$option->method->followsRemoval()) {
            return null;
        }
        $rate = $kind->rate();
        $area = $situation->quantity(FactName::TreatedArea) ?? $situation->area;

        return new self($kind, $rate, $area === null ? null : self::over($rate, $area));
    }

    /** Seed that so much open ground takes at that rate. */
    public static function over(Quantity $rate, Quantity $area): Quantity
    {
        return Quantity::of(
            $rate->in(Unit::KilogramPerHectare)->multipliedBy($area->in(Unit::Hectare)),
            Unit::Kilogram,
        );
    }
}
