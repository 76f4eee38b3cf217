<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Mix\Advice\Advisory;
use Thicket\Survey\StemGroup;

/** What to mix for one step: how much in all, how strong and why, the loads, and whether the label allows it. */
final readonly class Recipe
{
    /* Of the product of the row, which is the first of the tank. */
    public ?Strength $strength;
    /** Code of the reason for the strength. */
    public string $strengthWhy;
    public ?LimitCheck $ceiling;
    /** Strongest the card allows for this use; measuring never rounds above it. */
    public ?Strength $labelMost;

    /* Of the whole. */
    public ?Quantity $need;
    public string $carrier;
    public ?FinishedMix $mix;
    /** Load by load, with what is carried in; null without a sprayer. */
    public ?TankPlan $plan;
    /** @var list<string> facts without which it cannot be reckoned; a recipe with any is not finished */
    public array $missing;
    /** @var list<string> codes of what forbids it (label ceiling, card and school apart) */
    public array $blocks;
    /** @var list<Advisory> what blocks, what is asked, what to mind */
    public array $words;
    /** A product weighed dry, for the whole need; it takes no room in the tank that anybody reckons. */
    public ?Quantity $dry;
    /** Strewn dry as it is: weighed, never mixed (rulings J63). */
    public bool $spread;
    /** @var array<string, Quantity|string|int> named figures of the sum, for the 'how was this reckoned' line */
    public array $working;
    /** @var list<StemGroup> the stems that are treated, those out of reach left out */
    public array $stems;

    /** @param list<MixedProduct> $products every product of the tank, that of the row first */
    public function __construct(
        private Poured $poured,
        public array $products,
        private Hindrances $hindrances = new Hindrances(),
        private Reckoning $reckoning = new Reckoning(),
        private ?DryProduct $dryProduct = null,
    ) {
        $first = $products[0] ?? null;
        $this->strength = $first?->strength;
        $this->strengthWhy = $first->why ?? '';
        $this->ceiling = $first?->ceiling;
        $this->labelMost = $first?->most;
        $this->need = $poured->need;
        $this->carrier = $poured->carrier;
        $this->mix = $poured->mix;
        $this->plan = $poured->plan;
        $this->missing = $hindrances->missing;
        $this->blocks = $hindrances->blocks;
        $this->words = $hindrances->words;
        $this->dry = $dryProduct?->amount;
        $this->spread = $dryProduct->spread ?? false;
        $this->working = $reckoning->working;
        $this->stems = $reckoning->stems;
    }

    /** The figure of the table of coefficients that the need goes by, as its path there; null where none does. */
    public function restsOn(): ?string
    {
        return $this->reckoning->restsOn;
    }

    /** The need as it is reckoned, before what every plan gets more. */
    public function beforeAllowance(): ?Quantity
    {
        return $this->reckoning->bare;
    }

    /** @return list<Load> each kind of load once, in the order in which they are filled; empty before it is reckoned */
    public function loads(): array
    {
        return $this->mix === null ? [] : Load::ofPlan($this->mix, $this->plan);
    }

    public function isFinished(): bool
    {
        $made = $this->spread ? $this->dry !== null : $this->mix !== null && $this->mix->missing === [];

        return $made && $this->hindrances->areNone();
    }

    /**
     * Names the mix: card version of its product, and of each further product with its strength. Two loads of one id,
     * carrier and strength are the very same mix.
     */
    public function mixId(): ?string
    {
        $first = $this->products[0]->option->card->id ?? null;
        $others = array_map(
            static fn(MixedProduct $one): string => ($one->option->card->id ?? '') .
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

    /** @param list<Advisory> $words */
    public function with(array $words, ?TankPlan $plan): self
    {
        return new self(
            $this->poured->inLoads($plan),
            $this->products,
            $this->hindrances->saying($words),
            $this->reckoning,
            $this->dryProduct,
        );
    }
}
