<?php

declare(strict_types=1);

namespace App\Wire;

use App\Text\Sentences;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Measure\Unit;
use Thicket\Mix\FinishedMix;
use Thicket\Mix\Injection;
use Thicket\Mix\MeasuringTool;
use Thicket\Mix\Recipe;

/** A recipe as it crosses the wire: amounts, loads, what to measure with, and the working behind each figure. */
final readonly class RecipeWire
{
    public function __construct(private Sentences $sentences)
    {
    }

    /** @return array<string, mixed> */
    public function recipe(Recipe $recipe): array
    {
        return [
            'need' => Wire::quantity($recipe->need),
            'strength' => $recipe->strength === null ? null : ['percent' => Wire::quantity($recipe->strength->percent()), 'why' => $this->sentences->both($recipe->strengthWhy), 'code' => $recipe->strengthWhy],
            'carrier' => ['id' => $recipe->carrier, 'name' => $this->sentences->name("carrier.{$recipe->carrier}")],
            'product' => Wire::quantity($recipe->product()),
            'carrierAmount' => Wire::quantity($recipe->mix?->carrierAmount),
            'loads' => $this->loads($recipe),
            'measure' => $this->measures($recipe),
            'ceiling' => $recipe->ceiling === null ? null : ['planned' => Wire::quantity($recipe->ceiling->planned), 'most' => Wire::quantity($recipe->ceiling->most), 'kept' => $recipe->ceiling->kept],
            'working' => Wire::values($recipe->working),
            'missing' => array_map(fn (string $fact): array => ['fact' => $fact, 'name' => $this->sentences->name("fact.{$fact}")], $recipe->missing),
            'blocks' => array_map(fn (string $code): array => ['code' => $code, 'text' => $this->sentences->name("block.{$code}")], $recipe->blocks),
            'finished' => $recipe->isFinished(),
        ];
    }

    /**
     * What the stem drawing needs, for the thickest stem that is treated: sizes in mm, so that the picture is to scale.
     *
     * @return array<string, mixed>|null
     */
    public function drawing(Recipe $recipe, string $method): ?array
    {
        if ($recipe->stems === [] || !in_array($method, ['basal-bark', 'cut-stump', 'hack-and-squirt'], true)) {
            return null;
        }
        $diameter = array_reduce($recipe->stems, static fn (?Quantity $most, $g): Quantity => $most === null || $g->forCeilings()->isGreaterThan($most) ? $g->forCeilings() : $most);
        if ($diameter === null) {
            return null;
        }
        $mm = static fn (?Quantity $q): ?string => $q === null ? null : (string) $q->decimal(Unit::Millimetre, 1, RoundingMode::HALF_UP);
        $working = $recipe->working;
        $of = static fn (string $name): ?Quantity => ($working[$name] ?? null) instanceof Quantity ? $working[$name] : null;
        $spacing = $of('spacing');
        $cuts = $method === 'hack-and-squirt' && $spacing !== null ? Injection::cutsPerTree($diameter, $spacing, is_string($working['per'] ?? null) ? $working['per'] : 'diameter') : null;
        $ringFrom = Quantity::of(6, Unit::Inch);

        return [
            'kind' => match ($method) {
                'basal-bark' => 'band', 'cut-stump' => $diameter->isLessThan($ringFrom) ? 'disc' : 'ring', default => 'cuts'
            },
            'diameter' => Wire::quantity($diameter), 'diameterMm' => $mm($diameter),
            'band' => Wire::quantity($of('band')), 'bandMm' => $mm($of('band')),
            'ring' => Wire::quantity($of('ring')), 'ringMm' => $mm($of('ring')),
            'cuts' => $cuts, 'perCut' => Wire::quantity($of('perCut')),
            'apart' => $cuts === null ? null : Wire::quantity(Injection::spacingRound($diameter, $cuts)),
        ];
    }

    /** @return list<array<string, mixed>> each kind of load once: whole ones, then the last part */
    private function loads(Recipe $recipe): array
    {
        if ($recipe->mix === null) {
            return [];
        }
        $plan = $recipe->loads;
        if ($plan === null) {
            return [$this->load($recipe->mix, 1, true)];
        }
        $out = $plan->whole > 0 ? [$this->load($recipe->mix->inVolume($plan->tank), $plan->whole, false)] : [];
        if ($plan->lastPart !== null) {
            $out[] = $this->load($recipe->mix->inVolume($plan->lastPart), 1, true);
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function load(FinishedMix $mix, int $times, bool $part): array
    {
        $filled = Quantity::zero($mix->finished->unit);
        $steps = [];
        foreach ($mix->loadingOrder() as $step) {
            $filled = $step['amount'] === null ? $filled : $filled->plus($step['amount']);
            $steps[] = [
                'what' => $step['what'], 'name' => $this->sentences->name('load.' . $step['what']), 'amount' => Wire::quantity($step['amount']), 'mark' => Wire::quantity($filled),
                'markShare' => (string) $filled->per($mix->finished)->toScale(4, RoundingMode::HALF_UP),
            ];
        }

        return ['times' => $times, 'part' => $part, 'finished' => Wire::quantity($mix->finished), 'steps' => $steps];
    }

    /** @return list<array<string, mixed>> the product of one load on a cup of each unit system */
    private function measures(Recipe $recipe): array
    {
        $product = $recipe->mix?->amountOf('product');
        if ($recipe->mix === null || $product === null) {
            return [];
        }
        $one = $recipe->loads === null ? $recipe->mix : $recipe->mix->inVolume($recipe->loads->whole > 0 ? $recipe->loads->tank : ($recipe->loads->lastPart ?? $recipe->loads->tank));
        $amount = $one->amountOf('product') ?? $product;
        $out = [];
        foreach (self::tools() as $system => $tools) {
            $tool = MeasuringTool::bestFor($amount, $tools);
            if ($tool === null) {
                continue;
            }
            // to the nearest mark, but never above what the label allows; without a label maximum never above the recipe
            $read = $tool->measure($amount, $recipe->labelMost?->productIn($one->finished) ?? $amount);
            $last = $read['fillings'] === 0 ? Quantity::zero($tool->holds->unit) : $read['measured']->minus($tool->holds->times($read['fillings'] - 1)->to($read['measured']->unit));
            $out[] = [
                'system' => $system, 'tool' => $tool->name,
                'holds' => Shown::withUnit($tool->holds->amount, $tool->holds->unit), 'graduation' => Shown::withUnit($tool->graduation->amount, $tool->graduation->unit),
                'fullCups' => max(0, $read['fillings'] - 1), 'lastFill' => Shown::withUnit($last->to($tool->graduation->unit)->amount, $tool->graduation->unit),
                'lastShare' => (string) $last->per($tool->holds)->toScale(4, RoundingMode::HALF_UP), 'measured' => Shown::withUnit($read['measured']->to($tool->graduation->unit)->amount, $tool->graduation->unit),
                'errorPercent' => Shown::number($read['errorPercent']->abs(), 2), 'under' => $read['errorPercent']->isLessThan(BigRational::zero()),
                'marks' => $tool->holds->per($tool->graduation)->toScale(0, RoundingMode::DOWN)->toInt(),
            ];
        }

        return $out;
    }

    /** @return array<string, list<MeasuringTool>> the usual cups, until a crew lists its own */
    private static function tools(): array
    {
        $of = static fn (string $name, string $graduation, Unit $unit, int $holds): MeasuringTool => new MeasuringTool($name, Quantity::of($graduation, $unit), Quantity::of($holds, $unit));

        return [
            System::Us->value => [$of('teaspoon set', '0.25', Unit::UsTeaspoon, 1), $of('1 oz cup', '0.25', Unit::UsFluidOunce, 1), $of('8 oz cup', '0.5', Unit::UsFluidOunce, 8), $of('quart jug', '1', Unit::UsFluidOunce, 32)],
            System::Metric->value => [$of('10 mL syringe', '0.5', Unit::Millilitre, 10), $of('100 mL cylinder', '1', Unit::Millilitre, 100), $of('500 mL jug', '10', Unit::Millilitre, 500), $of('1 L jug', '20', Unit::Millilitre, 1000)],
        ];
    }
}
