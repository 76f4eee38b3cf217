<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Mix\Watering;

/**
 * A product that must be watered in: from when and until when (handbook 4: about an hour after, where the label asks);
 * in one tank with one that must first dry on the leaf: in between, or not in one pass (rulings J33).
 */
final readonly class WaterInAfterRainfast implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $watering = Watering::of($plan->products(), null);
        if ($watering === null) {
            return null;
        }
        $water = $watering->latest() === null ? [] : ['water' => $watering->latest()];
        $open = $water === [] ? '-open' : '';
        $earliest = $watering->earliest();
        if ($earliest === null) {
            return Advisory::asks("mix.water-in-rainfast-unknown{$open}", 'rulings-J33', $water);
        }
        $when = $water + ['rain' => $earliest];

        return match (true) {
            $watering->collides() => Advisory::blocks('mix.water-in-collides', 'rulings-J33', $when),
            $watering->dryHours * 60 > $watering->afterMinutes => Advisory::care(
                "mix.water-in-between{$open}",
                'rulings-J33',
                $when,
            ),
            $watering->afterMinutes > 0 => Advisory::care("mix.water-in-from{$open}", 'label-card', $when),
            default => Advisory::care("mix.water-in{$open}", 'label-card', $water),
        };
    }
}
