<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Timing\StartLimits;

/**
 * A volatile ester rises as vapour in heat (handbook 3, rulings J3): against the stricter of card and typical limit.
 */
final readonly class VapourInHeat implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        if ($plan->air === null) {
            return null;
        }
        $volatile = array_filter(
            $plan->products(),
            static fn(Option $one): bool => $one->active?->isVolatile() === true,
        );
        foreach (StartLimits::ofTank(array_values($volatile), $plan->situation->target)->limits as $limit) {
            if ($limit->fact === FactName::AirTemperature && !$limit->least && !$limit->allows($plan->air)) {
                return Advisory::blocks('mix.vapour', $limit->source, [
                    'reading' => $plan->air,
                    'limit' => $limit->value,
                ]);
            }
        }

        return null;
    }
}
