<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What is in the jug or bag. */
final readonly class Composition
{
    /**
     * @param list<array{active: string, amount: Quantity}> $actives as the label prints them
     * @param string $formulation one of {@see LabelCard::FORMULATIONS}
     * @param bool|null $surfactantInside null where nobody read it
     * @param bool $soilActive works through the soil, by the label
     * @param Quantity|null $density weight of a litre, for reading what is left off a scale
     * @param list<string> $fertiliser percent by weight of N, P2O5 and K2O; empty for a product without any
     */
    public function __construct(
        public array $actives,
        public string $formulation,
        public ?bool $surfactantInside,
        public bool $soilActive,
        public ?Quantity $density = null,
        public array $fertiliser = [],
    ) {}

    public function hasNitrogen(): bool
    {
        return $this->fertiliser !== [] && $this->fertiliser[0] !== '0';
    }

    /** How much of the product a weight is; null where the card does not say what a litre weighs. */
    public function volumeOf(Quantity $weight): ?Quantity
    {
        return $this->density === null
            ? null
            : Quantity::of($weight->in(Unit::Gram)->dividedBy($this->density->in(Unit::GramPerLitre)), Unit::Litre);
    }
}
