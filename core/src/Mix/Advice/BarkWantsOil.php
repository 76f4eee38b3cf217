<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Oil carries an ester through the bark; water is no substitute (handbook 3, Further particulars). */
final readonly class BarkWantsOil implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        return $plan->option->goesOn('bark') && $plan->carrier === 'water'
            ? Advisory::blocks('mix.bark-wants-oil', 'handbook-3')
            : null;
    }
}
