<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\Species;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What the tank does to the target: the highest single response that is known (rulings J41). Where none is known the
 * class may still say that it cannot work: a grass-only active on a broad leaf; else not known stays not known (B10).
 */
final readonly class Response implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null || $candidate->active === null || !$candidate->method->usesProduct()) {
            return [];
        }
        [$effect, $active] = $candidate->bestResponse($target);
        $values = ['active' => $active === null ? $candidate->activeNames() : $active->name()];

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
                default => $this->byClass($target, $candidate, $values),
            },
        ];
    }

    /** @param array<string, string> $values */
    private function byClass(Species $target, Candidate $candidate, array $values): Finding
    {
        $kind = $target->plantKind();
        $grassy = in_array($kind, ['grass', 'sedge', 'rush'], true);
        $mismatched = array_filter(
            $candidate->actives(),
            static fn(Active $a): bool => match ($a->selectivity()) {
                'grass' => $kind !== 'grass',
                'broadleaf' => $grassy,
                default => false,
            },
        );

        return count($mismatched) === count($candidate->actives())
            ? Finding::doesNotSuit('response.wrong-class', 'handbook-2', $values, 'change.other-active')
            : Finding::withCare('response.not-known', 'species', $values, 'change.other-active', Certainty::Unknown);
    }
}
