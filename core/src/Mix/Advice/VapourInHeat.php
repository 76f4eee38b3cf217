<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Methods\FactName;
use Thicket\Safety\StartLimits;

/** A volatile ester rises as vapour in heat (handbook 3, rulings J3): against the stricter of card and typical limit. */
final readonly class VapourInHeat implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        if ($plan->air === null || $plan->candidate->active?->isVolatile() !== true) {
            return null;
        }
        foreach (StartLimits::for($plan->candidate, $plan->situation->target)->limits as $limit) {
            if ($limit->fact === FactName::AirTemperature && !$limit->least && !$limit->allows($plan->air)) {
                return MixWord::blocks('mix.vapour', $limit->source, ['reading' => $plan->air, 'limit' => $limit->value]);
            }
        }

        return null;
    }
}
