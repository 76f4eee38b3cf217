<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What the tank does to the target: the highest single response that is known (rulings J41). Where none is known the
 * class may still say that it cannot work: a grass-only active on a broad leaf; else not known stays not known (B10).
 */
final readonly class Response implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || $option->active === null || !$option->method->usesProduct()) {
            return [];
        }
        [$effect, $active] = $option->bestResponse($target);
        $values = ['active' => $active === null ? $option->activeNames() : $active->name()];

        return [
            match ($effect) {
                'controls' => Finding::fits('response.controls', 'species', $values, Certainty::Typical),
                'suppresses' => Finding::withCare(
                    'response.suppresses',
                    'species',
                    $values,
                    'change.other-active',
                    Certainty::Typical,
                ),
                'misses' => Finding::doesNotSuit(
                    'response.misses',
                    'species',
                    $values,
                    'change.other-active',
                    Certainty::Typical,
                ),
                'disputed' => Finding::withCare('response.disputed', 'species', $values, null, Certainty::Typical),
                default => $this->byClass($target, $option, $values),
            },
        ];
    }

    /** @param array<string, string> $values */
    private function byClass(Species $target, Option $option, array $values): Finding
    {
        $kind = $target->plantKind();
        $grassy = in_array($kind, ['grass', 'sedge', 'rush'], true);
        $mismatched = array_filter(
            $option->actives(),
            static fn(Active $a): bool => match ($a->selectivity()) {
                'grass' => $kind !== 'grass',
                'broadleaf' => $grassy,
                default => false,
            },
        );

        return count($mismatched) === count($option->actives())
            ? Finding::doesNotSuit('response.wrong-class', 'handbook-2', $values, 'change.other-active')
            : Finding::withCare('response.not-known', 'species', $values, 'change.other-active', Certainty::Unknown);
    }
}
