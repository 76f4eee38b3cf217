<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Situation;
use Thicket\Methods\StemGroup;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Advice\MixRules;
use Thicket\Mix\Advice\MixWord;

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
     * @param array<string, PutThere> $before what was put there already, by active id
     * @param Quantity|null $calibrated mix per area that the sprayer really gives
     * @param list<Candidate> $partners further products of the same tank, for the same use (rulings J16)
     * @param list<array{area: Quantity, stems: list<StemGroup>}> $zones counted by themselves: the densest counts for the ceiling of work on stems
     */
    public function __construct(private Situation $situation, private Candidate $candidate, private ?Quantity $area, private array $before = [], private ?Quantity $calibrated = null, private array $partners = [], private array $zones = [])
    {
    }

    /**
     * The recipe with what is to be said of it: carrier, additives, water and tank judged, and the loads with leftover and helpers.
     *
     * @param Leftover|null $leftover from before; it joins only the very same mix
     */
    public function advised(MixPlan $plan, ?Quantity $tank, ?Leftover $leftover = null, int $people = 1): Recipe
    {
        $words = MixRules::judge($plan);
        $apart = in_array('mix.emulsifier-with-surfactant', array_map(static fn (MixWord $w): string => $w->code, $words), true);
        // two that must not meet are not reckoned together either
        $extras = $apart ? array_values(array_filter($plan->extras, static fn (Component $c): bool => $c->role === 'dye')) : $plan->extras;
        $recipe = $this->solve($tank, $extras, $plan->carrier);

        $against = $leftover?->against($recipe->mixId(), $plan->carrier, $recipe->strength);
        $against === null || array_unshift($words, $against);
        $carried = $against === null ? $leftover?->volume : null;

        return $recipe->with($words, $recipe->need === null || $tank === null ? null : TankPlan::of($recipe->need, $tank, $carried, $people));
    }

    /** Carrier that the step is usually mixed in. */
    public function carrier(): string
    {
        return $this->candidate->method->isOfArea() && !$this->candidate->is('carpet-spray') ? 'water' : ($this->candidate->carrier() ?? 'water');
    }

    /**
     * @param Quantity|null $tank of the sprayer to be used; null leaves the loads open
     * @param list<Component> $extras besides product and carrier: dye, surfactant, oil and emulsifier, conditioner
     * @param string|null $carrier one of {@see Carrier::ALL}; null takes the usual one
     */
    public function solve(?Quantity $tank, array $extras = [], ?string $carrier = null): Recipe
    {
        if ($this->candidate->method->isOfArea() && !$this->candidate->is('carpet-spray')) {
            return $this->ofArea($tank, $extras);
        }
        $missing = $working = [];
        $need = $this->need($working, $missing);
        $carrier ??= $this->carrier();
        $doses = $this->doses();
        if ($need !== null && $doses[0]->strength !== null) {
            $allowance = $this->candidate->coefficients()->string('allowancePercent');
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $need = $need->times(self::more($allowance))->to(Unit::Litre);
        }

        return $this->recipe($need, $doses, $carrier, $extras, $tank, $working, $missing, $this->area, null, $this->treated());
    }

    /** @return non-empty-list<Dose> of the product of the row, then of each partner */
    private function doses(): array
    {
        return [$this->dose(), ...array_map(fn (Candidate $partner): Dose => $this->of($partner)->dose(), $this->partners)];
    }

    private function dose(): Dose
    {
        $missing = $blocks = [];
        [$strength, $why] = $this->strength($missing, $blocks);

        return new Dose($strength, $why, null, $missing, $blocks, $this->line()?->max);
    }

    /** The same job with another product. */
    private function of(Candidate $candidate): self
    {
        return new self($this->situation, $candidate, $this->area, $this->before, $this->calibrated);
    }

    private static function more(string $allowance): BigRational
    {
        return BigRational::of($allowance)->dividedBy(100)->plus(1);
    }

    /**
     * Puts the mix together from what each product is dosed at, and holds it against every card.
     *
     * @param non-empty-list<Dose> $doses
     * @param list<Component> $extras
     * @param array<string, Quantity|string|int> $working
     * @param list<string> $missing
     * @param Quantity|null $ground that the ceiling counts on
     * @param Quantity|null $spray mix per area
     * @param list<StemGroup> $stems
     */
    private function recipe(?Quantity $need, array $doses, string $carrier, array $extras, ?Quantity $tank, array $working, array $missing, ?Quantity $ground, ?Quantity $spray, array $stems): Recipe
    {
        $candidates = [$this->candidate, ...$this->partners];
        $blocks = [];
        $parts = [];
        foreach ($doses as $n => $dose) {
            $missing = [...$missing, ...$dose->missing];
            $blocks = [...$blocks, ...$dose->blocks];
            $parts[] = $dose->component(self::component($n), self::role($candidates[$n], $carrier), $spray);
        }
        $known = array_filter($parts);
        $mix = $need === null || count($known) < count($parts) ? null : FinishedMix::of($need, $carrier, [...array_values($known), ...$extras]);
        $products = [];
        foreach ($doses as $n => $dose) {
            $amount = $mix?->amountOf(self::component($n));
            $products[] = new MixedProduct(self::component($n), $candidates[$n], $spray === null ? $dose->strength : $dose->share($spray), $dose->why, $amount, $dose->most, null);
        }
        if ($mix !== null) {
            $products = array_map(fn (MixedProduct $one): MixedProduct => $this->underCeiling($one, $products, $ground, $mix->finished), $products);
        }
        foreach ($products as $one) {
            $one->ceiling?->missing !== null && $missing[] = $one->ceiling->missing;
            $one->ceiling?->kept === false && $blocks[] = 'ceiling';
        }
        $dry = $doses[0]->rate?->dimension() === Dimension::MassPerArea && $ground !== null ? AreaRate::over($doses[0]->rate, $ground)->times(self::more($this->candidate->coefficients()->string('allowancePercent'))) : null;

        return new Recipe($need, $products[0]->strength, $doses[0]->why, $mix, $mix === null || $tank === null ? null : LoadPlan::of($mix->finished, $tank), $products[0]->ceiling, $working, array_values(array_unique($missing)), array_values(array_unique($blocks)), $carrier, $products[0]->most, $stems, $dry, [], null, $products);
    }

    private static function component(int $n): string
    {
        return $n === 0 ? 'product' : 'product-' . ($n + 1);
    }

    /** Place in the loading order (rulings J16): what makes an emulsion goes in before what dissolves. */
    private static function role(Candidate $candidate, string $carrier): string
    {
        return Carrier::isOil($carrier) || in_array($candidate->card?->formulation, ['emulsifiable', 'oil-soluble-ester'], true) ? 'emulsifiable' : 'solution';
    }

    /**
     * @param array<string, Quantity|string|int> $working
     * @param list<string> $missing
     */
    private function need(array &$working, array &$missing): ?Quantity
    {
        $stems = $this->situation->stems;
        $perStem = $this->candidate->goesOn('bark', 'wood', 'stump') || $this->candidate->is('wick');
        if ($perStem && $stems === []) {
            $missing[] = 'stem-diameter';

            return null;
        }

        return match (true) {
            $this->candidate->goesOn('bark') => $this->basalNeed($stems, $working),
            $this->candidate->goesOn('stump') => $this->stumpNeed($stems, $working),
            $this->candidate->is('girdle-spray') => $this->kerfNeed($working),
            $this->candidate->goesOn('wood') => $this->injectionNeed($stems, $working),
            $this->candidate->is('wick') => $this->wickNeed($working),
            $this->candidate->goesOn('leaf') => $this->foliarNeed($working, $missing),
            default => null,
        };
    }

    /**
     * Product by the treated area (handbook 3, sum 5): the card's most per area, or the typical rate held below it; mix by the spray per area.
     * A dry product is given by weight. A calibrated sprayer gives the spray per area that it really puts out.
     *
     * @param list<Component> $extras
     */
    private function ofArea(?Quantity $tank, array $extras): Recipe
    {
        $missing = $working = [];
        $spray = $this->spray();
        $area = TreatedArea::of($this->situation, $this->candidate, $this->area);
        $doses = [$this->rate(), ...array_map(fn (Candidate $partner): Dose => $this->of($partner)->rate(), $this->partners)];
        $area === null && $missing[] = 'treated-area';
        $spray === null && $missing[] = 'spray-per-area';
        $need = null;
        if ($area !== null && $doses[0]->rate !== null) {
            $working += ['area' => $area, 'rate' => $doses[0]->rate] + ($spray === null ? [] : ['perArea' => $spray]);
            $allowance = $this->candidate->coefficients()->string('allowancePercent');
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $need = $spray === null ? null : AreaRate::over($spray, $area)->times(self::more($allowance))->to(Unit::Litre);
        }

        return $this->recipe($need, $doses, 'water', $extras, $tank, $working, $missing, $area, $spray, []);
    }

    /** Mix per area: as the sprayer really gives it, else the most that any card of the tank asks for, else what is typical. */
    private function spray(): ?Quantity
    {
        $asked = null;
        foreach ([$this->candidate, ...$this->partners] as $candidate) {
            $one = $candidate->lineOfCard($this->situation)?->spray;
            $asked = $one !== null && ($asked === null || $one->isGreaterThan($asked)) ? $one : $asked;
        }

        return $this->calibrated ?? $asked ?? $this->candidate->active?->typicalSpray($this->candidate->cardUse());
    }

    private function rate(): Dose
    {
        $missing = $blocks = [];
        $card = $this->candidate->card;
        $line = $this->line();
        $rate = $this->candidate->active?->typicalRate($this->candidate->cardUse());
        $why = 'strength.typical';
        $most = $line?->rateMost;
        // a card that names the use but no amount gives no leave to take a typical one
        if ($card !== null && $most === null) {
            $rate = null;
        }
        if ($most !== null && ($rate === null || $rate->dimension() !== $most->dimension() || $rate->isGreaterThan($most))) {
            [$rate, $why] = [$most, 'strength.card-most'];
        }
        $card !== null && $line === null && $blocks[] = 'card-no-line';
        $least = $line?->rateLeast;
        if ($least !== null && $rate !== null && $rate->dimension() === $least->dimension() && $rate->isLessThan($least)) {
            [$rate, $why] = [$least, 'strength.card-least'];
        }
        $rate === null && $missing[] = 'card-rate';

        return new Dose(null, $why, $rate, $missing, $blocks);
    }

    /**
     * Herbicide sprayed into a saw kerf all round: mL by girth (handbook 9), held under the label's mL per tree.
     *
     * @param array<string, Quantity|string|int> $working
     */
    private function kerfNeed(array &$working): Quantity
    {
        $perTenCentimetres = $this->candidate->coefficients()->node('kerfPerTenCentimetres')->quantity('use') ?? throw new \LogicException('no mL per kerf.');
        $perStem = $this->line()?->perStem;
        $girth = Quantity::zero(Unit::Centimetre);
        $mix = Quantity::zero(Unit::Millilitre);
        $trees = $capped = 0;
        foreach ($this->treated() as $group) {
            $round = $group->forSums()->to(Unit::Centimetre)->times(\Thicket\Measure\Pi::value());
            $each = $perTenCentimetres->times($round->in(Unit::Centimetre)->dividedBy(10));
            $over = $perStem !== null && $each->isGreaterThan($perStem);
            $capped = $over ? 1 : $capped;
            $girth = $girth->plus($round->times($group->count));
            $mix = $mix->plus(($over ? $perStem : $each)->times($group->count));
            $trees += $group->count;
        }
        $working += ['girth' => $girth, 'perTenCentimetres' => $perTenCentimetres, 'treated' => $trees, 'skipped' => $this->situation->stemCount() - $trees, 'capped' => $capped];

        return $mix;
    }

    /** @param array<string, Quantity|string|int> $working */
    private function wickNeed(array &$working): Quantity
    {
        $perPlant = $this->candidate->coefficients()->node('wick')->quantity('use') ?? throw new \LogicException('no mL per plant.');
        $working += ['perPlant' => $perPlant, 'treated' => $this->situation->stemCount(), 'skipped' => 0];

        return $perPlant->times($this->situation->stemCount());
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function basalNeed(array $stems, array &$working): Quantity
    {
        $band = $this->candidate->schools->values('basal-band')->quantity('band') ?? throw new \LogicException('basal-band has no band.');
        $limit = $this->candidate->method->limit('stemMost');
        $result = StemBand::of($stems, $band, $limit, $this->candidate->schools->choice('basal-size') === 'six-or-less');
        $film = $this->film('basal');
        $working += ['band' => $band, 'surface' => $result->area, 'film' => $film, 'treated' => $result->treated, 'skipped' => $result->skipped];

        return StemBand::volume($result->area, $film);
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function stumpNeed(array $stems, array &$working): Quantity
    {
        $ring = $this->candidate->catalogue->method('cut-stump')->data->node('ring');
        $from = $ring->quantity('from') ?? throw new \LogicException('ring has no from.');
        $width = $ring->quantity('width') ?? throw new \LogicException('ring has no width.');
        $sides = $this->candidate->carrier() === 'oil' ? StumpFace::usualSides() : null;
        $area = StumpFace::total($stems, $from, $width, $sides);
        $film = $this->film('stump');
        $working += ['ring' => $width, 'surface' => $area, 'film' => $film, 'treated' => $this->situation->stemCount(), 'skipped' => 0] + ($sides === null ? [] : ['sides' => $sides]);

        return StemBand::volume($area, $film);
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function injectionNeed(array $stems, array &$working): Quantity
    {
        [$spacing, $per] = self::spacing($this->candidate);
        $perCut = $this->candidate->coefficients()->node('cut')->quantity('use') ?? throw new \LogicException('no mL per cut.');
        $result = Injection::of($stems, $spacing, $per, $perCut, $this->candidate->method->limit('stemMost'), $this->candidate->method->limit('stemLeast'), $this->line()?->perStem);
        $working += ['spacing' => $spacing, 'per' => $per, 'cuts' => $result->cuts, 'perCut' => $perCut, 'treated' => $result->treated, 'skipped' => $result->skipped, 'capped' => $result->cappedByLabel ? 1 : 0];

        return $result->mix;
    }

    /**
     * @param array<string, Quantity|string|int> $working
     * @param list<string> $missing
     */
    private function foliarNeed(array &$working, array &$missing): ?Quantity
    {
        if ($this->area === null) {
            $missing[] = 'treated-area';

            return null;
        }
        $height = $this->situation->quantity(FactName::Height) ?? $this->situation->tallestTallied();
        $low = Quantity::of('0.5', Unit::Metre);
        $shrub = Quantity::of(1, Unit::Metre);
        $class = match (true) {
            $height === null || $height->isLessThan($low) => 'low-carpet',
            $height->isLessThan($shrub) => 'shrub-under-1m',
            default => 'shrub-to-1-8m',
        };
        $perArea = $this->candidate->coefficients()->node('foliar')->node($class)->quantity('use') ?? throw new \LogicException('no foliar volume.');
        $working += ['area' => $this->area, 'perArea' => $perArea];

        return AreaRate::over($perArea, $this->area);
    }

    /** @return list<StemGroup> without those beyond the reach of the method; they neither set the strength nor the drawing */
    private function treated(): array
    {
        $most = $this->candidate->method->limit('stemMost');
        $least = $this->candidate->method->limit('stemLeast');
        $inclusive = $this->candidate->is('basal-bark') ? $this->candidate->schools->choice('basal-size') === 'six-or-less' : true;

        return array_values(array_filter(
            $this->situation->stems,
            static fn (StemGroup $g): bool => ($most === null || $g->against($most, $inclusive) !== 'beyond') && ($least === null || !$g->forCeilings()->isLessThan($least)),
        ));
    }

    /**
     * Spacing of cuts for the active at hand (handbook 8 injection-spacing).
     *
     * @return array{Quantity, string}
     */
    public static function spacing(Candidate $candidate): array
    {
        $school = $candidate->catalogue->school('injection-spacing');
        $choice = $candidate->schools->choice('injection-spacing');
        if ($choice === 'by-active') {
            $byActive = $school->data->stringMap('byActive');
            $choice = $byActive[$candidate->active?->id() ?? ''] ?? 'per-inch-of-diameter';
        }
        $values = $school->choice($choice);

        return [$values->quantity('spacing') ?? throw new \LogicException('no spacing.'), $values->string('per')];
    }

    /**
     * @param list<string> $missing
     * @param list<string> $blocks
     *
     * @return array{Strength|null, string}
     */
    private function strength(array &$missing, array &$blocks): array
    {
        $card = $this->candidate->card;
        $line = $this->line();
        if ($card !== null && $card->isReadyToUse()) {
            $blocks[] = 'ready-to-use';

            return [null, 'strength.ready-to-use'];
        }
        if ($card !== null && $line === null) {
            $blocks[] = 'card-no-line';

            return [null, 'strength.card'];
        }
        [$working, $why] = $this->workingStrength();
        $least = $line?->min;
        $most = $line?->max;
        // a school that asks for the bark is not answered by a card's range: unknown stays unknown
        if ($working === null && ($why === 'strength.texture' || ($most ?? $least) === null)) {
            $missing[] = $why === 'strength.texture' ? 'bark-texture' : 'card-strength';

            return [null, $why];
        }
        if ($working === null) {
            return [$most ?? $least, 'strength.card'];
        }
        // held inside the card's range; the label is never exceeded (rulings B12)
        if ($most !== null && $working->share->isGreaterThan($most->share)) {
            return [$most, 'strength.card-most'];
        }
        if ($least !== null && $working->share->isLessThan($least->share)) {
            return [$least, 'strength.card-least'];
        }

        return [$working, $why];
    }

    /** @return array{Strength|null, string} */
    private function workingStrength(): array
    {
        $schools = $this->candidate->schools;
        $carrier = $this->candidate->carrier();
        $value = null;
        $why = 'strength.typical';
        if ($this->candidate->is('basal-bark') && $schools->choice('basal-strength') === 'by-bark-and-diameter') {
            [$value, $why] = $this->basalStrength();
        } elseif ($this->candidate->is('basal-bark')) {
            return [$this->line()->max ?? $this->line()?->min, 'strength.card'];
        } elseif ($this->candidate->goesOn('stump') && $this->candidate->active?->id() !== 'imazapyr') {
            $value = $schools->values('stump-strength')->quantity($carrier === 'oil' ? 'oilBorne' : 'waterBorne');
            $why = 'strength.stump-school';
        } else {
            $value = $this->candidate->typicalStrength();
        }

        return [$value === null ? null : Strength::ofQuantity($value), $why];
    }

    /** @return array{Quantity|null, string} the strongest that any stem of the tally asks for: one tank serves all */
    private function basalStrength(): array
    {
        $texture = $this->situation->barkTexture() ?? $this->situation->target?->barkTexture();
        $strongest = null;
        foreach ($this->treated() as $group) {
            $one = BasalStrength::for($group->forCeilings(), $texture, $this->candidate->schools);
            if ($one === null) {
                return [null, 'strength.texture'];
            }
            $strongest = $strongest === null || $one->isGreaterThan($strongest) ? $one : $strongest;
        }

        return [$strongest, 'strength.by-bark'];
    }

    /**
     * The product held against its card's ceilings: on the ground of the job, and on the densest zone of work on stems (rulings J7).
     *
     * @param list<MixedProduct> $all of the tank; the same active under another name counts too
     */
    private function underCeiling(MixedProduct $one, array $all, ?Quantity $ground, Quantity $finished): MixedProduct
    {
        $card = $one->candidate->card;
        $active = $one->candidate->active?->id();
        if ($card === null || $active === null || $one->amount === null) {
            return $one;
        }
        $others = array_filter($all, static fn (MixedProduct $other): bool => $other->name !== $one->name && $other->candidate->card?->holds($active) === true);
        $on = function (?Quantity $ground, BigRational $share) use ($card, $active, $one, $others): Ceiling {
            $together = [];
            foreach ($others as $other) {
                $load = $ground === null ? null : $other->activeOn($active, $ground, $share);
                // of a basis that cannot be added up: a kind of its own, so that nothing is told of the sum
                $together[] = $load ?? Quantity::of(1, Unit::One);
            }

            return Ceiling::check($card, $active, $this->situation->word(FactName::Setting), $one->amount->times($share), $ground, $this->before[$active] ?? null, $together);
        };
        $ceiling = $on($ground, BigRational::one());
        foreach ($this->candidate->goesOn('bark', 'wood', 'stump') ? $this->zones : [] as $zone) {
            $working = $missing = [];
            $need = $zone['area']->in(Unit::Hectare)->isLessThan(self::LEAST_ZONE_HECTARES) ? null : (new self($this->situation->withStems($zone['stems']), $this->candidate, $zone['area']))->need($working, $missing);
            if ($need !== null) {
                $share = $need->times(self::more($this->candidate->coefficients()->string('allowancePercent')))->per($finished);
                $ceiling = $ceiling->orWorse($on($zone['area'], $share));
            }
        }

        return new MixedProduct($one->name, $one->candidate, $one->strength, $one->why, $one->amount, $one->most, $ceiling);
    }

    private function line(): ?CardUse
    {
        return $this->candidate->lineOfCard($this->situation);
    }

    private function film(string $use): Quantity
    {
        return $this->candidate->coefficients()->node('film')->node($use)->quantity('use') ?? throw new \LogicException("no film for {$use}.");
    }
}
