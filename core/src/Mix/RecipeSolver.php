<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
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
    public function __construct(private Situation $situation, private Candidate $candidate, private ?Quantity $area, private ?Quantity $alreadyThisYear = null, private ?Quantity $calibrated = null)
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

        $against = $leftover?->against($this->candidate->card?->id, $plan->carrier, $recipe->strength);
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
     * @param string|null $carrier water or oil; null takes the usual one
     */
    public function solve(?Quantity $tank, array $extras = [], ?string $carrier = null): Recipe
    {
        $missing = [];
        $blocks = [];
        $working = [];
        if ($this->candidate->method->isOfArea() && !$this->candidate->is('carpet-spray')) {
            return $this->ofArea($tank, $extras);
        }
        $need = $this->need($working, $missing);
        $carrier ??= $this->carrier();
        [$strength, $why] = $this->strength($missing, $blocks);
        $mix = $loads = $ceiling = null;
        if ($need !== null && $strength !== null) {
            $allowance = $this->candidate->coefficients()->string('allowancePercent');
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $need = $need->times(BigRational::of($allowance)->dividedBy(100)->plus(1))->to(Unit::Litre);
            $mix = FinishedMix::of($need, $carrier, [new Component('product', $carrier === 'oil' ? 'emulsifiable' : 'solution', $strength), ...$extras]);
            $loads = $tank === null ? null : LoadPlan::of($need, $tank);
            $ceiling = $this->ceiling($mix, $missing, $blocks);
        }

        return new Recipe($need, $strength, $why, $mix, $loads, $ceiling, $working, $missing, $blocks, $carrier, $this->line()?->max, $this->treated());
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
        $missing = $blocks = $working = [];
        $use = $this->candidate->cardUse();
        $card = $this->candidate->card;
        $line = $this->line();
        $rate = $this->candidate->active?->typicalRate($use);
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
        $spray = $this->calibrated ?? $line->spray ?? $this->candidate->active?->typicalSpray($use);
        $area = TreatedArea::of($this->situation, $this->candidate, $this->area);
        $area === null && $missing[] = 'treated-area';
        $rate === null && $missing[] = 'card-rate';
        $spray === null && $missing[] = 'spray-per-area';
        $mix = $loads = $ceiling = $dry = $strength = $need = null;
        if ($area !== null && $rate !== null) {
            $working += ['area' => $area, 'rate' => $rate] + ($spray === null ? [] : ['perArea' => $spray]);
            $allowance = $this->candidate->coefficients()->string('allowancePercent');
            $working['allowance'] = Quantity::of($allowance, Unit::PercentProduct);
            $more = BigRational::of($allowance)->dividedBy(100)->plus(1);
            $product = AreaRate::over($rate, $area)->times($more);
            $dry = $rate->dimension() === \Thicket\Measure\Dimension::MassPerArea ? $product : null;
            if ($spray !== null) {
                $need = AreaRate::over($spray, $area)->times($more)->to(Unit::Litre);
                $strength = $dry !== null ? null : Strength::ofQuantity(Quantity::of($product->per($need)->multipliedBy(100), Unit::PercentProduct));
                $part = $dry === null ? new Component('product', 'solution', $strength) : new Component('product', 'dry-flowable', null, Quantity::of($dry->in(Unit::Gram)->dividedBy($need->in(Unit::Litre)), Unit::GramPerLitre));
                $mix = FinishedMix::of($need, 'water', [$part, ...$extras]);
                $loads = $tank === null ? null : LoadPlan::of($need, $tank);
                $ceiling = $this->ceiling($mix, $missing, $blocks, $area);
            }
        }

        return new Recipe($need, $strength, $why, $mix, $loads, $ceiling, $working, $missing, $blocks, 'water', $strength, [], $dry);
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
        if ($working === null && ($most ?? $least) === null) {
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
     * @param list<string> $missing
     * @param list<string> $blocks
     */
    private function ceiling(FinishedMix $mix, array &$missing, array &$blocks, ?Quantity $treated = null): ?Ceiling
    {
        $card = $this->candidate->card;
        $product = $mix->amountOf('product');
        if ($card === null || $product === null) {
            return null;
        }
        $ceiling = Ceiling::check($card, $this->candidate->active?->id() ?? '', $product, $treated ?? $this->area, $this->alreadyThisYear);
        if ($ceiling->missing !== null) {
            $missing[] = $ceiling->missing;
        } elseif ($ceiling->kept === false) {
            $blocks[] = 'ceiling';
        }

        return $ceiling;
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
