<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Root-suckering trees are never knocked down first (rulings J11); other resprouters come back thicker when only cut
 * (handbook 2).
 */
final readonly class KnockDownFirst implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$this->knocksDown($option) || !$option->method->isFor($target)) {
            return [];
        }
        if ($target->isRootSuckering() && $option->how('girdle') && $this->sameKindKept($situation, $target)) {
            // product would reach the kept tree; suckers come and are cut (rulings J57)
            return [
                Finding::withCare(
                    'suckering.girdle-beside-kept',
                    'rulings-J57',
                    [],
                    'change.cut-suckers',
                    \Thicket\Verdict\Certainty::Typical,
                ),
            ];
        }
        if ($target->isRootSuckering() && !$target->mayCutFirst()) {
            return [Finding::doesNotSuit('suckering.never-knock-down', 'rulings-J11', [], 'change.treat-standing')];
        }
        if ($option->how('mow') && $target->resprouts() === true && $target->isPerennial()) {
            return [
                Finding::withCare(
                    $target->isWoody() ? 'resprout.comes-back' : 'resprout.from-the-root',
                    'handbook-2-mow',
                    [],
                    'change.repeat-cutting',
                ),
            ];
        }
        if ($option->how('mow') && $target->resprouts() === null) {
            return [Finding::unknown('resprouts', 'species', false)];
        }

        return [];
    }

    private function sameKindKept(Situation $situation, Species $target): bool
    {
        return array_filter(
            $situation->keepers,
            static fn(ProtectedFeature $k): bool => $k->speciesId === $target->id() && $k->isInRootReach() !== false,
        ) !== [];
    }

    /** Cuts, fells, drags, digs or rings it without anything that travels to the roots first. */
    private function knocksDown(Option $option): bool
    {
        return $option->how('cut', 'mow', 'dig', 'drag') || ($option->how('girdle') && !$option->method->usesProduct());
    }
}
