<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Things that this crew has not mixed before are tried in a jar in the same proportions (rulings J16). */
final readonly class JarTest implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        $others = array_filter($plan->extras, static fn(\Thicket\Mix\Component $c): bool => $c->role !== 'dye');

        return ($plan->firstTime && $others !== []) || $plan->firstTogether
            ? Advisory::care('mix.jar-test', 'rulings-J16')
            : null;
    }
}
