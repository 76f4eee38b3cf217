<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Brick\Math\BigRational;
use Thicket\Catalogue\Carrier;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\Option;
use Thicket\Situation\Prices;
use Thicket\Situation\Situation;

/**
 * What one pass costs: hours at the crew's wage and product at its price. Nothing is guessed: a price nobody gave
 * leaves the sum unknown.
 */
final readonly class Money
{
    /**
     * @param list<string> $stale what was priced long ago or without a day: 'wage', the active, or the material
     * @param list<string> $without what goes into the mix and has no price: partners and carrier oil
     */
    private function __construct(
        public BigRational $wages,
        public BigRational $product,
        public ?BigRational $perHectare,
        public string $currency,
        public array $stale,
        public array $without,
    ) {}

    public static function of(Situation $situation, Option $option, Labour $labour): ?self
    {
        $prices = $option->shed->prices;
        $hours = $labour->total();
        $wages = $hours === null ? null : $prices?->ofHours($hours);
        if ($prices === null || $wages === null) {
            return null;
        }
        $stale = Prices::isStale($prices->wage['on'] ?? null, $situation->day) ? ['wage'] : [];
        $product = BigRational::zero();
        $without = [];
        if ($option->method->usesProduct()) {
            if (!isset($prices->products[$option->active?->id() ?? ''])) {
                return null;
            }
            $recipe = RecipeSolver::plain($situation, $option)->solve(null);
            foreach (self::poured($option, $recipe) as $n => [$what, $amount]) {
                $price = $amount === null ? null : $prices->ofProduct($what, $amount);
                if ($price === null && $n === 0) {
                    return null;
                }
                if ($price === null) {
                    $without[] = $what;
                    continue;
                }
                $product = $product->plus($price);
                Prices::isStale($prices->products[$what]['on'], $situation->day) && ($stale[] = $what);
            }
        }
        $seed = CoverSeed::of($situation, $option)?->amount;
        if ($seed !== null) {
            $price = $prices->ofProduct('cover-seed', $seed);
            $price === null ? ($without[] = 'cover-seed') : ($product = $product->plus($price));
            $price !== null &&
                Prices::isStale($prices->products['cover-seed']['on'] ?? null, $situation->day) &&
                ($stale[] = 'cover-seed');
        }
        $hectares = $situation->area?->in(Unit::Hectare);

        return new self(
            $wages,
            $product,
            $hectares === null || $hectares->isZero() ? null : $wages->plus($product)->dividedBy($hectares),
            $prices->currency,
            $stale,
            $without,
        );
    }

    /**
     * What is poured for one pass: the products of the tank, oil as carrier, and dye and surfactant where the crew has
     * a price for them, by what is commonly added to a litre (handbook 3).
     *
     * @return list<array{string, Quantity|null}> price's name and amount, the first product first
     */
    private static function poured(Option $option, Recipe $recipe): array
    {
        $out = array_map(
            static fn(MixedProduct $one): array => [$one->option->active?->id() ?? '', $one->amount],
            $recipe->products,
        );
        $mix = $recipe->mix;
        if ($mix === null) {
            return $out;
        }
        Carrier::isOil($recipe->carrier) && ($out[] = [$recipe->carrier, $mix->carrierAmount]);
        $watered =
            $option->isLeafSpray() &&
            !Carrier::isOil($recipe->carrier) &&
            $option->card?->contents->surfactantInside !== true;
        foreach (
            ['dye' => $option->goesOn('bark', 'stump', 'leaf'), 'surfactant' => $watered]
            as $material => $goesIn
        ) {
            $perLitre = $option->coefficients()->additive($material);
            if ($goesIn && $perLitre !== null && isset($option->shed->prices?->products[$material])) {
                $out[] = [
                    $material,
                    Quantity::of(
                        $perLitre->in(Unit::MillilitrePerLitre)->multipliedBy($mix->finished->in(Unit::Litre)),
                        Unit::Millilitre,
                    ),
                ];
            }
        }

        return $out;
    }

    public function total(): BigRational
    {
        return $this->wages->plus($this->product);
    }
}
