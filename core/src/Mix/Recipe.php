<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Mix\Advice\MixWord;
use Thicket\Survey\StemGroup;

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
        /** @var list<MixWord> what blocks, what is asked, what to mind */
        public array $words = [],
        /** Load by load, with what is carried in; null without a sprayer. */
        public ?TankPlan $plan = null,
        /** @var list<MixedProduct> every product of the tank, that of the row first */
        public array $products = [],
        /** Strewn dry as it is: weighed, never mixed (rulings J63). */
        public bool $spread = false,
    ) {}

    public function isFinished(): bool
    {
        $made = $this->spread ? $this->dry !== null : $this->mix !== null && $this->mix->missing === [];

        return $made &&
            $this->missing === [] &&
            $this->blocks === [] &&
            array_filter($this->words, static fn(MixWord $w): bool => $w->level !== MixWord::CARE) === [];
    }

    /**
     * Names the mix: card version of its product, and of each further product with its strength. Two loads of one id,
     * carrier and strength are the very same mix.
     */
    public function mixId(): ?string
    {
        $first = $this->products[0]->candidate->card->id ?? null;
        $others = array_map(
            static fn(MixedProduct $one): string => ($one->candidate->card->id ?? '') .
                '@' .
                ($one->strength?->share->__toString() ?? 'dry'),
            $this->others(),
        );
        sort($others);

        return $first === null ? null : implode('+', [$first, ...$others]);
    }

    /** @return list<MixedProduct> further products of the same tank */
    public function others(): array
    {
        return array_slice($this->products, 1);
    }

    public function product(): ?Quantity
    {
        return $this->dry ?? ($this->mix?->amountOf('product') ?? ($this->products[0]->amount ?? null));
    }

    /** @param list<MixWord> $words */
    public function with(array $words, ?TankPlan $plan): self
    {
        return new self(
            $this->need,
            $this->strength,
            $this->strengthWhy,
            $this->mix,
            $this->loads,
            $this->ceiling,
            $this->working,
            $this->missing,
            $this->blocks,
            $this->carrier,
            $this->labelMost,
            $this->stems,
            $this->dry,
            $words,
            $plan,
            $this->products,
            $this->spread,
        );
    }
}
