<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\Carrier;

/** Oil mixes need solvent-proof seals (rulings J17). */
final readonly class SealsStandOil implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        if (!Carrier::isOil($plan->carrier) && !$plan->has('oil')) {
            return null;
        }

        return match ($plan->solventProof) {
            true => null,
            false => Advisory::blocks('mix.seals', 'rulings-J17'),
            null => Advisory::care('mix.seals-unknown', 'rulings-J17'),
        };
    }
}
