<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Methods\StemGroup;

/** What to mix for one step: how much in all, how strong and why, the loads, and whether the label allows it. */
final readonly class Recipe
{
    /**
     * @param list<string> $missing facts without which it cannot be reckoned; a recipe with any is not finished
     * @param array<string, Quantity|string|int> $working named figures of the sum, for the 'how was this reckoned' line
     * @param string $strengthWhy code of the reason for the strength
     * @param list<StemGroup> $stems the stems that are treated, those out of reach left out
     * @param list<string> $blocks codes of what forbids it (label ceiling, card and school apart)
     */
    public function __construct(
        public ?Quantity $need,
        public ?Strength $strength,
        public string $strengthWhy,
        public ?FinishedMix $mix,
        public ?LoadPlan $loads,
        public ?Ceiling $ceiling,
        public array $working,
        public array $missing,
        public array $blocks,
        public string $carrier,
        /** Strongest the card allows for this use; measuring never rounds above it. */
        public ?Strength $labelMost = null,
        public array $stems = [],
        /** A product weighed dry, for the whole need; it takes no room in the tank that anybody reckons. */
        public ?Quantity $dry = null,
    ) {
    }

    public function isFinished(): bool
    {
        return $this->missing === [] && $this->blocks === [] && $this->mix !== null;
    }

    public function product(): ?Quantity
    {
        return $this->dry ?? $this->mix?->amountOf('product');
    }
}
