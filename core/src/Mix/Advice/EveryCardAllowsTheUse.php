<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Situation\CardCheck;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * With two or more products every card must allow the site and the method (rulings J16): each partner meets the same
 * rule as the row itself.
 */
final readonly class EveryCardAllowsTheUse implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        foreach ($plan->partners as $partner) {
            $against = array_filter(
                (new CardCheck())->findings($plan->situation, $partner),
                static fn(Finding $f): bool => in_array($f->outcome, [Outcome::NotAllowed, Outcome::NotNow], true),
            );
            if ($partner->card === null || $against !== []) {
                return Advisory::blocks('mix.partner-not-for-this', 'label-card', [
                    'product' => $partner->card->product ?? '',
                ]);
            }
        }

        return null;
    }
}
