<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Brick\Math\RoundingMode;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Measure\System;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\CutSpacing;
use Thicket\Mix\FinishedMix;
use Thicket\Mix\Injection;
use Thicket\Mix\LimitCheck;
use Thicket\Mix\Load;
use Thicket\Mix\LoadStep;
use Thicket\Mix\MeasuringKit;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Recipe;
use Thicket\Mix\StrengthWays;
use Thicket\Mix\TankPlan;
use Thicket\Mix\Watering;
use Thicket\Situation\Option;

/** A recipe as it crosses the wire: amounts, loads, what to measure with, and the working behind each figure. */
final readonly class RecipeResource
{
    /** Loads told one by one. */
    private const MOST_LOADS = 40;
    /** Nobody writes a thinner mix in parts, and there the misreading comes to next to nothing. */
    private const MOST_PARTS = 20;

    public function __construct(private Sentences $sentences, private LearnedResource $learned) {}

    /**
     * @param Quantity|null $content of the product, for the active in the mix
     *
     * @return array<string, mixed>
     */
    public function recipe(Recipe $recipe, MeasuringKit $kit = new MeasuringKit(), ?Quantity $content = null): array
    {
        return [
            'need' => Format::filled($recipe->need),
            'strength' =>
                $recipe->strength === null
                    ? null
                    : [
                        'percent' => Format::quantity($recipe->strength->percent()),
                        'why' => $this->sentences->both($recipe->strengthWhy),
                        'code' => $recipe->strengthWhy,
                    ],
            'carrier' => ['id' => $recipe->carrier, 'name' => $this->sentences->name("carrier.{$recipe->carrier}")],
            'product' => Format::quantity($recipe->product()),
            'carrierAmount' => Format::filled($recipe->mix?->carrierAmount),
            'loads' => ($loads = $this->loads($recipe, $kit)),
            // of the first load; each load has its own
            'measure' => $loads[0]['measure'] ?? [],
            'products' => array_map(fn(MixedProduct $one): array => $this->product($one), $recipe->products),
            'ways' => $this->ways($recipe->strength, $content),
            'plan' => $this->plan($recipe),
            'words' => array_map(
                fn(Advisory $w): array => [
                    'code' => $w->code,
                    'level' => $w->level,
                    'text' => $this->sentences->sentence($w->code, $w->values),
                    'source' => ['code' => $w->source, 'name' => $this->sentences->source($w->source)],
                ],
                $recipe->words,
            ),
            'watering' => self::watering($recipe),
            'ceiling' => self::ceiling($recipe->ceiling),
            'working' => Format::values($recipe->working),
            'learned' => $this->learned($recipe),
            'missing' => array_map(
                fn(string $fact): array => ['fact' => $fact, 'name' => $this->sentences->name("fact.{$fact}")],
                $recipe->missing,
            ),
            'blocks' => array_map(
                fn(string $code): array => ['code' => $code, 'text' => $this->sentences->name("block.{$code}")],
                $recipe->blocks,
            ),
            'finished' => $recipe->isFinished(),
        ];
    }

    /**
     * @return array<string, mixed>|null what the field day waters in by; null where no card asks for it, or it cannot
     * be met
     */
    private static function watering(Recipe $recipe): ?array
    {
        $ground = $recipe->working['area'] ?? null;
        $watering = Watering::of(
            array_map(static fn(MixedProduct $one): Option => $one->option, $recipe->products),
            $ground instanceof Quantity ? $ground : null,
        );

        return $watering === null || $watering->collides()
            ? null
            : [
                'depth' => Format::quantity($watering->depth),
                'volume' => Format::quantity($watering->volume),
                'earliest' => Format::quantity($watering->earliest()),
                'latest' => Format::quantity($watering->latest()),
            ];
    }

    /** @return list<array{us: string, metric: string}> what records of the crew moved in the need */
    private function learned(Recipe $recipe): array
    {
        $path = $recipe->restsOn();
        $option = $recipe->products[0]->option ?? null;

        return $path === null || $option === null ? [] : $this->learned->of($option, [$path]);
    }

    /** @return array<string, mixed> */
    private function product(MixedProduct $one): array
    {
        return [
            'what' => $one->name,
            'product' => self::nameOf($one),
            'versionId' => $one->option->card?->id,
            'active' => $one->option->active?->name(),
            'strength' =>
                $one->strength === null
                    ? null
                    : [
                        'percent' => Format::quantity($one->strength->percent()),
                        'why' => $this->sentences->both($one->why),
                        'code' => $one->why,
                    ],
            'amount' => Format::quantity($one->amount),
            'ceiling' => self::ceiling($one->ceiling),
        ];
    }

    private static function nameOf(MixedProduct $one): string
    {
        return $one->option->card->product ?? ($one->option->active?->name() ?? '');
    }

    /** @return array<string, mixed>|null */
    private static function ceiling(?LimitCheck $ceiling): ?array
    {
        return $ceiling === null
            ? null
            : [
                'planned' => Format::quantity($ceiling->planned),
                'most' => Format::quantity($ceiling->most),
                'kept' => $ceiling->kept,
                'by' => $ceiling->by,
                'left' => Format::quantity($ceiling->left),
            ];
    }

    /**
     * What the stem drawing needs, for the thickest stem that is treated: sizes in mm, so that the picture is to scale.
     *
     * @return array<string, mixed>|null
     */
    public function drawing(Recipe $recipe): ?array
    {
        // what was reckoned says what is wetted: a band of bark, the ring of a stump, or cuts
        $kind = array_values(array_intersect(['band', 'ring', 'spacing'], array_keys($recipe->working)))[0] ?? null;
        if ($recipe->stems === [] || $kind === null) {
            return null;
        }
        $diameter = array_reduce(
            $recipe->stems,
            static fn(?Quantity $most, $g): Quantity => $most === null || $g->forCeilings()->isGreaterThan($most)
                ? $g->forCeilings()
                : $most,
        );
        if ($diameter === null) {
            return null;
        }
        $mm = static fn(?Quantity $q): ?string => $q === null
            ? null
            : (string) $q->decimal(Unit::Millimetre, 1, RoundingMode::HALF_UP);
        $working = $recipe->working;
        $of = static fn(string $name): ?Quantity => ($working[$name] ?? null) instanceof Quantity
            ? $working[$name]
            : null;
        $spacing = $of('spacing');
        $cuts =
            $kind === 'spacing' && $spacing !== null
                ? (new CutSpacing($spacing, is_string($working['per'] ?? null) ? $working['per'] : 'diameter'))->cutsOn(
                    $diameter,
                )
                : null;
        $rings = $recipe->products[0]->option->coefficients()->stumpRing()['from'];

        return [
            'kind' => match ($kind) {
                'ring' => $diameter->isLessThan($rings) ? 'disc' : 'ring',
                'band' => 'band',
                default => 'cuts',
            },
            'diameter' => Format::quantity($diameter),
            'diameterMm' => $mm($diameter),
            'band' => Format::quantity($of('band')),
            'bandMm' => $mm($of('band')),
            'ring' => Format::quantity($of('ring')),
            'ringMm' => $mm($of('ring')),
            'cuts' => $cuts,
            'perCut' => Format::quantity($of('perCut')),
            'apart' => $cuts === null ? null : Format::quantity(Injection::spacingRound($diameter, $cuts)),
        ];
    }

    /** @return list<array<string, mixed>> each kind of load once, in the order in which they are filled */
    private function loads(Recipe $recipe, MeasuringKit $kit): array
    {
        return array_map(fn(Load $load): array => $this->load($recipe, $load, $kit), $recipe->loads());
    }

    /** @return array<string, mixed> */
    public function load(Recipe $recipe, Load $load, MeasuringKit $kit): array
    {
        // of one product it is plain which; of several each goes by its own name
        $names =
            count($recipe->products) < 2
                ? []
                : array_combine(
                    array_map(static fn(MixedProduct $one): string => $one->name, $recipe->products),
                    array_map(self::nameOf(...), $recipe->products),
                );

        $poured = array_flip(array_map(static fn(MixedProduct $one): string => $one->name, $recipe->products));
        $fill = static fn(LoadStep $step, ?Quantity $to): ?array => isset($poured[$step->what])
            ? Format::quantity($to)
            : Format::filled($to);

        return [
            'times' => $load->times,
            'part' => $load->isPart,
            'finished' => Format::filled($load->finished),
            'fresh' => Format::filled($load->mix->finished),
            'product' => Format::quantity($load->mix->amountOf('product')),
            'steps' => array_map(
                fn(LoadStep $step): array => [
                    'what' => $step->what,
                    'name' => $names[$step->what] ?? $this->sentences->name("load.{$step->what}"),
                    // product is measured in a tool, and no mark lets more of it in; what else goes in is filled up
                    'amount' => $fill($step, $step->amount),
                    'mark' => $fill($step, $step->mark),
                    'markShare' => (string) $step->share->toScale(4, RoundingMode::HALF_UP),
                ],
                $load->steps(),
            ),
            'measure' => array_merge(
                ...array_map(
                    static fn(MixedProduct $one): array => self::measured($one, $load->mix, $kit),
                    $recipe->products,
                ),
            ),
            'products' => array_map(
                static fn(MixedProduct $one): array => [
                    'what' => $one->name,
                    'product' => self::nameOf($one),
                    'versionId' => $one->option->card?->id,
                    'amount' => Format::quantity($load->mix->amountOf($one->name)),
                ],
                $recipe->products,
            ),
        ];
    }

    /** @return array<string, mixed>|null round by round: who fills how much, and how far the job is when it is empty */
    private function plan(Recipe $recipe): ?array
    {
        $plan = $recipe->plan;
        if ($plan === null) {
            return null;
        }
        $treated = $recipe->working['treated'] ?? null;
        $carrier = $recipe->mix?->carrierAmount;
        $fresh = $plan->fresh();
        $water =
            $recipe->carrier === 'water' && $carrier !== null && !$plan->total->isZero()
                ? $carrier->times($fresh->per($plan->total))
                : null;

        return [
            'people' => $plan->people,
            'rounds' => $plan->rounds(),
            'fresh' => Format::filled($fresh),
            'water' => Format::filled($water),
            'waterWeight' => Format::quantity($water === null ? null : TankPlan::weightOfWater($water)),
            'loads' => array_map(
                static fn(array $load): array => [
                    'round' => $load['round'],
                    'person' => $load['person'],
                    'finished' => Format::filled($load['finished']),
                    'carried' => $load['carried']->isZero() ? null : Format::filled($load['carried']),
                    'doneAfter' => (string) $load['doneAfter']->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP),
                    'stemsAfter' => is_int($treated)
                        ? $load['doneAfter']->multipliedBy($treated)->toScale(0, RoundingMode::FLOOR)->toInt()
                        : null,
                ],
                $plan->loads(self::MOST_LOADS),
            ),
            'more' => max(0, $plan->count() - self::MOST_LOADS),
        ];
    }

    /** @return array<string, mixed>|null the strength in every way that people write it */
    public function ways(?Strength $strength, ?Quantity $content): ?array
    {
        if ($strength === null) {
            return null;
        }
        $ways = StrengthWays::of($strength, $content);
        $parts = $ways->carrierParts === null ? null : Shown::number($ways->carrierParts, 3);
        $misread = $ways->misread();

        return [
            'typed' => $strength->typed === '' ? null : $strength->typed,
            'written' => array_map(
                static fn(Quantity $q): string => Shown::withUnit($q->amount, $q->unit),
                $ways->written,
            ),
            'parts' => $parts === null ? null : "1:{$parts}",
            'active' => $ways->active === null ? null : Shown::withUnit($ways->active->amount, $ways->active->unit),
            'trap' =>
                $parts === null ||
                $misread === null ||
                !$ways->carrierParts?->isGreaterThan(1) ||
                $ways->carrierParts->isGreaterThan(self::MOST_PARTS)
                    ? null
                    : $this->sentences->in(
                        'mix.parts-trap',
                        [
                            'parts' => $parts,
                            'right' => Shown::number($strength->percent()->amount, 3),
                            'wrong' => Shown::number($misread->amount, 3),
                        ],
                        System::Us,
                    ),
        ];
    }

    /** @return list<array<string, mixed>> one product of a load, on the best tool of each unit system */
    private static function measured(MixedProduct $product, FinishedMix $mix, MeasuringKit $kit): array
    {
        $amount = $mix->amountOf($product->name);
        if ($amount === null) {
            return [];
        }
        $out = [];
        // to the nearest mark, but never above what the card allows; without a card never above the recipe
        foreach ($kit->readings($amount, $product->mostIn($mix) ?? $amount) as $system => $read) {
            $marks = static fn(Quantity $q): string => Shown::withUnit(
                $q->to($read->tool->graduation->unit)->amount,
                $read->tool->graduation->unit,
            );
            $out[] = [
                'system' => $system,
                'what' => $product->name,
                'product' => self::nameOf($product),
                'tool' => $read->tool->name,
                'kind' => $read->tool->kind,
                'own' => $kit->isOwn($amount->dimension()),
                'holds' => Shown::withUnit($read->tool->holds->amount, $read->tool->holds->unit),
                'graduation' => $marks($read->tool->graduation),
                'fullCups' => $read->fillings - 1,
                'lastFill' => $marks($read->last),
                'lastShare' => (string) $read->lastShare()->toScale(4, RoundingMode::HALF_UP),
                'measured' => $marks($read->measured),
                'errorPercent' => Shown::number($read->errorPercent->abs(), 2),
                'under' => $read->isUnder,
                'marks' => $read->tool->marks(),
                'actual' =>
                    $read->measured->dimension() === Dimension::Volume
                        ? Shown::number($read->measured->per($mix->finished)->multipliedBy(100), 4) . ' %'
                        : null,
            ];
        }

        return $out;
    }
}
