<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/**
 * A contact product wants small weeds and full cover; on anything older more strength does not reach the roots
 * (handbook 3 "Further particulars").
 */
final readonly class ContactWantsSmallWeeds implements MixRule
{
    private const SMALL = ['cotyledon', 'seedling'];

    public function judge(MixPlan $plan): ?Advisory
    {
        $stage = $plan->situation->stage();
        if (!$plan->option->isLeafSpray() || $plan->option->active?->isSystemic() !== false || $stage === null) {
            return null;
        }

        return in_array($stage[0], self::SMALL, true)
            ? null
            : Advisory::care('mix.contact-small-weeds', 'handbook-3', ['stage' => $stage[0]]);
    }
}
