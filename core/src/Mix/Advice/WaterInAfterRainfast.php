<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;

/**
 * A product that must be watered in: from when and until when (handbook 4: about an hour after, where the label asks); in one tank with one that must
 * first dry on the leaf: in between, or not in one pass (rulings J33).
 */
final readonly class WaterInAfterRainfast implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $watered = static fn (Candidate $one): bool => $one->card?->details?->isWateredIn() === true;
        if (!$plan->any($watered)) {
            return null;
        }
        $number = static fn (string $name): array => array_filter(array_map(static fn (Candidate $one): ?int => $one->card->details->numbers[$name] ?? null, $plan->products()), is_int(...));
        $hours = static fn (int $n): Quantity => Quantity::of($n, Unit::Hour);
        [$within, $after] = [$number('waterInHours'), $number('waterInAfterMinutes')];
        $water = $within === [] ? [] : ['water' => $hours(min($within))];
        $open = $within === [] ? '-open' : '';
        // what works through the soil alone has no leaf to dry on
        $rain = array_map(static fn (Candidate $one): ?int => $one->card?->rainfastHours, array_filter($plan->products(), static fn (Candidate $one): bool => $one->goesOn('leaf') && !$watered($one)));
        if (in_array(null, $rain, true)) {
            return MixWord::asks("mix.water-in-rainfast-unknown{$open}", 'rulings-J33', $water);
        }
        $dry = $rain === [] ? 0 : max($rain);
        $from = $after === [] ? 0 : max($after);
        $earliest = ['rain' => $dry * 60 >= $from ? $hours($dry) : Quantity::of($from, Unit::Minute)];

        return match (true) {
            $within !== [] && max($dry * 60, $from) > min($within) * 60 => MixWord::blocks('mix.water-in-collides', 'rulings-J33', $water + $earliest),
            $dry * 60 > $from => MixWord::care("mix.water-in-between{$open}", 'rulings-J33', $water + $earliest),
            $from > 0 => MixWord::care("mix.water-in-from{$open}", 'label-card', $water + $earliest),
            default => MixWord::care("mix.water-in{$open}", 'label-card', $water),
        };
    }
}
