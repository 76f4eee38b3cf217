<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Advice\MixRules;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;

/**
 * Works out the recipe of a chosen row from the tally, the school's working values and the card (handbook 2
 * "Consumes", rulings B12): need = surface x film or cuts x mL, plus the allowance; strength = working value held
 * inside the card's range; an empty intersection cannot be done with this card.
 */
final readonly class RecipeSolver
{
    /** Smallest zone whose own density counts for the ceiling (rulings J7). */
    private const LEAST_ZONE_HECTARES = '0.1';

    /**
     * @param Quantity|null $area of the patch
     * @param array<string, PriorApplications> $before what was put there already, by active id
     * @param Quantity|null $calibrated mix per area that the sprayer really gives
     * @param list<array{area: Quantity, stems: list<StemGroup>}> $zones counted by themselves: the densest counts for
     *     the ceiling of work on stems
     */
    public function __construct(
        private Situation $situation,
        private Option $option,
        private ?Quantity $area,
        private array $before = [],
        private ?Quantity $calibrated = null,
        private array $zones = [],
    ) {}

    /** Of a stand alone: nothing put there before, no sprayer calibrated, one count. */
    public static function plain(Situation $situation, Option $option): self
    {
        return new self($situation, $option, $situation->area);
    }

    /**
     * The recipe with what is to be said of it: carrier, additives, water and tank judged, and the loads with leftover
     * and helpers.
     *
     * @param Leftover|null $leftover from before; it joins only the very same mix
     */
    public function advised(MixPlan $plan, ?Quantity $tank, ?Leftover $leftover = null, int $people = 1): Recipe
    {
        $words = MixRules::judge($plan);
        $apart = in_array(
            'mix.emulsifier-with-surfactant',
            array_map(static fn(Advisory $w): string => $w->code, $words),
            true,
        );
        // two that must not meet are not reckoned together either
        $extras = $apart
            ? array_values(array_filter($plan->extras, static fn(Component $c): bool => $c->role === 'dye'))
            : $plan->extras;
        $recipe = $this->solve($tank, $extras, $plan->carrier);

        $against = $leftover?->against($recipe->mixId(), $plan->carrier, $recipe->strength);
        $against === null || array_unshift($words, $against);
        $carried = $against === null ? $leftover?->volume : null;

        return $recipe->with(
            $words,
            $recipe->need === null || $tank === null ? null : TankPlan::of($recipe->need, $tank, $carried, $people),
        );
    }

    /** Carrier that the step is usually mixed in. */
    public function carrier(): string
    {
        return $this->option->method->goesByRate() ? 'water' : $this->option->carrier() ?? 'water';
    }

    /**
     * @param Quantity|null $tank of the sprayer to be used; null leaves the loads open
     * @param list<Component> $extras besides product and carrier: dye, surfactant, oil and emulsifier, conditioner
     * @param string|null $carrier one of {@see Carrier::ALL}; null takes the usual one
     */
    public function solve(?Quantity $tank, array $extras = [], ?string $carrier = null): Recipe
    {
        if ($this->option->method->goesByRate()) {
            return $this->ofArea($tank, $extras);
        }
        $missing = $working = [];
        $amounts = new MixNeed($this->situation, $this->option, $this->area);
        $need = $bare = $amounts->mix($working, $missing);
        $carrier ??= $this->carrier();
        $doses = array_map(
            fn(Option $one): Dose => (new Dosing($this->situation, $one, $amounts->treated()))->byStrength(),
            [$this->option, ...$this->option->partners],
        );
        if ($need !== null && $doses[0]->strength !== null) {
            $allowance = $this->option->coefficients()->allowancePercent();
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $need = $need->times(MixNeed::withAllowance($this->option))->to(Unit::Litre);
        }

        return $this->recipe(
            $doses,
            new MixWanted($need, $carrier, $extras, $tank),
            new OverGround($this->area),
            new Reckoning($working, $amounts->treated(), $need === null ? null : $amounts->restsOn(), $bare),
            $missing,
        );
    }

    /**
     * Puts the mix together from what each product is dosed at, and holds it against every card.
     *
     * @param non-empty-list<Dose> $doses
     * @param list<string> $missing
     */
    private function recipe(
        array $doses,
        MixWanted $wanted,
        OverGround $over,
        Reckoning $reckoning,
        array $missing,
    ): Recipe {
        [$need, $carrier, $ground, $spray] = [$wanted->need, $wanted->carrier, $over->ground, $over->spray];
        $options = [$this->option, ...$this->option->partners];
        $blocks = [];
        $parts = [];
        foreach ($doses as $n => $dose) {
            $missing = [...$missing, ...$dose->missing];
            $blocks = [...$blocks, ...$dose->blocks];
            $parts[] = $dose->component(self::component($n), self::role($options[$n], $carrier), $spray);
        }
        // nothing is mixed with what is ready to use
        $asItIs =
            count($options) > 1 &&
            array_filter($options, static fn(Option $one): bool => $one->card?->isReadyToUse() === true) !== [];
        $asItIs && ($blocks[] = 'ready-to-use');
        $known = array_filter($parts);
        $mix =
            $need === null || $asItIs || count($known) < count($parts)
                ? null
                : FinishedMix::of($need, $carrier, [...array_values($known), ...$wanted->extras]);
        $overGround = fn(Dose $dose): ?Quantity => $dose->rate === null || $ground === null || $asItIs
            ? null
            : AreaRate::over($dose->rate, $ground)->times(MixNeed::withAllowance($this->option));
        $dry = $doses[0]->rate?->dimension() === Dimension::MassPerArea ? $overGround($doses[0]) : null;
        $byRate = $this->option->method->goesByRate();
        $spread = $options[0]->card?->isSpreadDry() === true && $byRate;
        $products = [];
        foreach ($doses as $n => $dose) {
            // what goes on by the area is known before anybody knows how much it is mixed into
            $amount =
                $spread && $n === 0
                    ? $dry
                    : $mix?->amountOf(self::component($n)) ?? ($byRate ? $overGround($dose) : null);
            $products[] = new MixedProduct(
                self::component($n),
                $options[$n],
                $spray === null ? $dose->strength : $dose->share($spray),
                $dose->why,
                $amount,
                $dose->most,
                null,
            );
        }
        if ($mix !== null || $byRate) {
            // strewn dry, or not yet mixed, there is no mix to share out: the whole is the product itself
            $whole = $mix->finished ?? Quantity::of(1, Unit::Litre);
            $products = array_map(
                fn(MixedProduct $one): MixedProduct => $this->underCeiling($one, $products, $ground, $whole),
                $products,
            );
        }
        foreach ($options as $one) {
            (new MixNeed($this->situation, $one, $this->area))->passesMostPerStem() && ($blocks[] = 'card-per-stem');
        }
        foreach ($products as $one) {
            $one->ceiling?->missing !== null && ($missing[] = $one->ceiling->missing);
            $one->ceiling?->kept === false && ($blocks[] = 'ceiling');
        }

        return new Recipe(
            new Poured(
                $need,
                $carrier,
                $mix,
                $mix === null || $wanted->tank === null ? null : TankPlan::of($mix->finished, $wanted->tank),
            ),
            $products,
            new Hindrances(array_values(array_unique($missing)), array_values(array_unique($blocks))),
            $reckoning,
            $dry === null && !$spread ? null : new DryProduct($dry, $spread),
        );
    }

    private static function component(int $n): string
    {
        return $n === 0 ? 'product' : 'product-' . ($n + 1);
    }

    /** Place in the loading order (rulings J16): what makes an emulsion goes in before what dissolves. */
    private static function role(Option $option, string $carrier): string
    {
        return Carrier::isOil($carrier) ||
            in_array($option->card?->contents->formulation, ['emulsifiable', 'oil-soluble-ester'], true)
            ? 'emulsifiable'
            : 'solution';
    }

    /**
     * Product by the treated area (handbook 3, sum 5): the card's most per area, or the typical rate held below it; mix
     * by the spray per area. A dry product is given by weight. A calibrated sprayer gives the spray per area that it
     * really puts out.
     *
     * @param list<Component> $extras
     */
    private function ofArea(?Quantity $tank, array $extras): Recipe
    {
        $missing = $working = [];
        $spray = $this->spray();
        $area = TreatedArea::of($this->situation, $this->option, $this->area);
        $doses = array_map(fn(Option $one): Dose => (new Dosing($this->situation, $one, []))->byArea($spray), [
            $this->option,
            ...$this->option->partners,
        ]);
        // what is ready to use is its own mix: as much of it goes on an area as the card says
        $spray = $this->option->card?->isReadyToUse() === true ? $doses[0]->rate : $spray;
        $area === null && ($missing[] = 'treated-area');
        $spread = $this->option->card?->isSpreadDry() === true;
        $spray === null && !$spread && ($missing[] = 'spray-per-area');
        $need = null;
        if ($area !== null && $doses[0]->rate !== null) {
            $working += ['area' => $area, 'rate' => $doses[0]->rate] + ($spray === null ? [] : ['perArea' => $spray]);
            $allowance = $this->option->coefficients()->allowancePercent();
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $need =
                $spray === null || $spread
                    ? null
                    : AreaRate::over($spray, $area)->times(MixNeed::withAllowance($this->option))->to(Unit::Litre);
        }

        return $this->recipe(
            $doses,
            new MixWanted($need, 'water', $extras, $tank),
            new OverGround($area, $spray),
            new Reckoning($working),
            $missing,
        );
    }

    /**
     * Mix per area: as the sprayer really gives it, else the most that any card of the tank asks for, else what is
     * typical.
     */
    private function spray(): ?Quantity
    {
        $asked = null;
        foreach ([$this->option, ...$this->option->partners] as $option) {
            $one = $option->lineOfCard($this->situation)?->spray;
            $asked = $one !== null && ($asked === null || $one->isGreaterThan($asked)) ? $one : $asked;
        }

        return $this->calibrated ?? ($asked ?? $this->option->active?->typicalSpray($this->option->cardUse()));
    }

    /**
     * The product held against its card's ceilings: on the ground of the job, and on the densest zone of work on stems
     * (rulings J7).
     *
     * @param list<MixedProduct> $all of the tank; the same active under another name counts too
     */
    private function underCeiling(MixedProduct $one, array $all, ?Quantity $ground, Quantity $finished): MixedProduct
    {
        $card = $one->option->card;
        $active = $one->option->active?->id();
        if ($card === null || $active === null || $one->amount === null) {
            return $one;
        }
        $site = $this->situation->word(FactName::Setting);
        $of = function (string $active, ?Quantity $ground, BigRational $share) use (
            $card,
            $site,
            $one,
            $all,
        ): LimitCheck {
            $others = array_filter(
                $all,
                static fn(MixedProduct $other): bool => $other->name !== $one->name &&
                    $other->option->card?->holds($active) === true,
            );
            $together = [];
            foreach ($others as $other) {
                $load = $ground === null ? null : $other->activeOn($active, $ground, $share);
                // of a basis that cannot be added up: a kind of its own, so that nothing is told of the sum
                $together[] = $load ?? Quantity::of(1, Unit::One);
            }

            // what is dosed by the area keeps the line's rate already; what is dosed by strength must be held against
            // it
            $ofUse = $this->option->method->isOfArea() ? null : $one->option->lineOfCard($this->situation)?->rateMost;

            return LimitCheck::check(
                new LabelLoad($card, $active, $one->amount->times($share), $ground),
                $site,
                $this->before[$active] ?? null,
                $together,
                $ofUse,
            );
        };
        // a card with limits for each of its actives is held to all of them
        $on = static fn(?Quantity $ground, BigRational $share): LimitCheck => array_reduce(
            $card->limitedBesides($site, $active),
            static fn(LimitCheck $worst, string $other): LimitCheck => $worst->orWorse($of($other, $ground, $share)),
            $of($active, $ground, $share),
        );
        $ceiling = $on($ground, BigRational::one());
        foreach ($this->option->goesOn('bark', 'wood', 'stump') ? $this->zones : [] as $zone) {
            $working = $missing = [];
            $need = $zone['area']->in(Unit::Hectare)->isLessThan(self::LEAST_ZONE_HECTARES)
                ? null
                : (new MixNeed($this->situation->withStems($zone['stems']), $this->option, $zone['area']))->mix(
                    $working,
                    $missing,
                );
            if ($need !== null) {
                $share = $need->times(MixNeed::withAllowance($this->option))->per($finished);
                $ceiling = $ceiling->orWorse($on($zone['area'], $share));
            }
        }

        return new MixedProduct(
            $one->name,
            $one->option,
            $one->strength,
            $one->why,
            $one->amount,
            $one->most,
            $ceiling,
        );
    }
}
