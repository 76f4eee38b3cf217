<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\Candidate;

/**
 * The same active under two names is one active (handbook 3 "Traps in the sums"): a double dose, counted together under
 * the ceiling.
 */
final readonly class OneActiveTwice implements MixRule
{
    public function judge(MixPlan $plan): ?MixWord
    {
        $actives = array_merge(
            ...array_map(
                static fn(Candidate $one): array => array_unique(
                    array_column($one->card->contents->actives ?? [], 'active'),
                ),
                $plan->products(),
            ),
        );
        $twice = array_keys(array_filter(array_count_values($actives), static fn(int $n): bool => $n > 1));

        return $twice === []
            ? null
            : MixWord::care('mix.active-twice', 'handbook-3', [
                'active' => $plan->candidate->catalogue->active($twice[0])->name(),
            ]);
    }
}
