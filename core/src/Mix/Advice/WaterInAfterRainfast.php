<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;

/**
 * A product that must be watered in, in one tank with one that must first dry on the leaf: in between, or not in one pass (rulings J33).
 */
final readonly class WaterInAfterRainfast implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $within = array_filter(array_map(static fn (Candidate $one): ?int => $one->card->details->numbers['waterInHours'] ?? null, $plan->products()), is_int(...));
        if ($within === []) {
            return null;
        }
        $hours = static fn (int $n): Quantity => Quantity::of($n, Unit::Hour);
        $water = ['water' => $hours(min($within))];
        // what works through the soil alone has no leaf to dry on
        $leaf = array_filter($plan->products(), static fn (Candidate $one): bool => $one->goesOn('leaf') && !isset($one->card->details->numbers['waterInHours']));
        $rain = array_map(static fn (Candidate $one): ?int => $one->card?->rainfastHours, $leaf);
        if ($rain === []) {
            return MixWord::care('mix.water-in', 'label-card', $water);
        }
        if (in_array(null, $rain, true)) {
            return MixWord::asks('mix.water-in-rainfast-unknown', 'rulings-J33', $water);
        }
        $dry = max($rain);

        return $dry > min($within) ? MixWord::blocks('mix.water-in-collides', 'rulings-J33', $water + ['rain' => $hours($dry)]) : MixWord::care('mix.water-in-between', 'rulings-J33', $water + ['rain' => $hours($dry)]);
    }
}
