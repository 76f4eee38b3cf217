<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Salts and acids of glyphosate give off hydrogen in galvanised or unlined steel, which can explode (rulings J17). */
final readonly class TankMetal implements MixRule
{
    public function judge(MixPlan $plan): ?Advisory
    {
        if (!$plan->mind('no-galvanised')) {
            return null;
        }

        return match (true) {
            in_array($plan->material, ['galvanised', 'steel'], true) => Advisory::blocks(
                'mix.tank-metal',
                'rulings-J17',
                ['material' => (string) $plan->material],
            ),
            default => null,
        };
    }
}
