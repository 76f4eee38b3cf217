<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Option;

/**
 * The same active under two names is one active (handbook 3 "Traps in the sums"): a double dose, counted together under
 * the ceiling.
 */
final readonly class OneActiveTwice implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $actives = array_merge(
            ...array_map(
                static fn(Option $one): array => array_unique(
                    array_column($one->card->contents->actives ?? [], 'active'),
                ),
                $plan->products(),
            ),
        );
        $twice = array_keys(array_filter(array_count_values($actives), static fn(int $n): bool => $n > 1));

        return $twice === []
            ? null
            : Advisory::care('mix.active-twice', 'handbook-3', [
                'active' => $plan->option->catalogue->active($twice[0])->name(),
            ]);
    }
}
