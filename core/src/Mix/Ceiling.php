<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Active per area of this job, plus what was put there this year, against the label's yearly maximum (handbook 3,
 * sum 10; rulings J7). Area is the outline of the stand actually worked. A gap is 'cannot tell', which blocks.
 */
final readonly class Ceiling
{
    private function __construct(public ?Quantity $planned, public ?Quantity $most, public ?bool $kept, public ?string $missing, private ?Quantity $area = null)
    {
    }

    /**
     * @param Quantity $product product in the whole job
     * @param Quantity|null $alreadyThisYear of the same kind as the maximum; null where nothing was put there
     */
    public static function check(LabelCard $card, string $activeId, Quantity $product, ?Quantity $area, ?Quantity $alreadyThisYear): self
    {
        $most = $card->yearlyMaximum;
        if ($most === null) {
            return new self(null, null, null, 'card-yearly-maximum');
        }
        if ($area === null || !$area->amount->isPositive()) {
            return new self(null, $most, null, 'treated-area');
        }
        $hectares = $area->in(Unit::Hectare);
        $planned = match ($most->dimension()) {
            Dimension::VolumePerArea => $product->dimension() === Dimension::Volume ? Quantity::of($product->in(Unit::Litre)->dividedBy($hectares), Unit::LitrePerHectare) : null,
            Dimension::MassPerArea => $product->dimension() === Dimension::Mass ? Quantity::of($product->in(Unit::Gram)->dividedBy($hectares), Unit::GramPerHectare) : null,
            Dimension::EquivalentPerArea => $product->dimension() === Dimension::Mass ? null : self::equivalent($card, $activeId, $product)?->dividedBy($hectares),
            default => null,
        };
        if ($planned === null) {
            return new self(null, $most, null, 'card-strength-basis');
        }
        if ($alreadyThisYear !== null) {
            $planned = $planned->plus($alreadyThisYear);
        }

        return new self($planned, $most, !$planned->isGreaterThan($most), null, $area);
    }

    /** Product that may still be put on the area this year, after what was put there already; null where that cannot be told. */
    public function remaining(LabelCard $card, string $activeId, ?Quantity $alreadyThisYear): ?Quantity
    {
        if ($this->most === null || $this->area === null) {
            return null;
        }
        $left = $alreadyThisYear === null ? $this->most : $this->most->minus($alreadyThisYear->to($this->most->unit));
        if ($left->isNegative()) {
            $left = Quantity::zero($left->unit);
        }
        $hectares = $this->area->in(Unit::Hectare);
        $perLitre = self::equivalent($card, $activeId, Quantity::of(1, Unit::Litre));

        return match ($this->most->dimension()) {
            Dimension::VolumePerArea => Quantity::of($left->in(Unit::LitrePerHectare)->multipliedBy($hectares), Unit::Litre),
            Dimension::MassPerArea => Quantity::of($left->in(Unit::GramPerHectare)->multipliedBy($hectares), Unit::Gram),
            default => $perLitre === null || $perLitre->isZero() ? null : Quantity::of($left->in(Unit::GramEquivalentPerHectare)->multipliedBy($hectares)->dividedBy($perLitre->in(Unit::GramEquivalentPerHectare)), Unit::Litre),
        };
    }

    /** Grams of acid equivalent in the product, written per hectare for one hectare; null on another basis. */
    private static function equivalent(LabelCard $card, string $activeId, Quantity $product): ?Quantity
    {
        foreach ($card->actives as $content) {
            if ($content['active'] === $activeId && $content['amount']->dimension() === Dimension::EquivalentPerVolume) {
                return Quantity::of($content['amount']->in(Unit::GramEquivalentPerLitre)->multipliedBy($product->in(Unit::Litre)), Unit::GramEquivalentPerHectare);
            }
        }

        return null;
    }
}
