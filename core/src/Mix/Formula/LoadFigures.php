<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Measure\Quantity;
use Thicket\Mix\TankPlan;

/** The loads of a plan as figures. */
final readonly class LoadFigures
{
    /** @return array<string, Quantity|int> */
    public static function of(TankPlan $plan): array
    {
        return ['loads' => $plan->count(), 'whole-loads' => $plan->whole()] +
            ($plan->lastPart() === null ? [] : ['last-part' => $plan->lastPart()]);
    }
}
