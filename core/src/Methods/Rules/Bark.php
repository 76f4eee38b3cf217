<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Basal bark goes through thin bark only (handbook 2); thickness and texture are two facts (rulings B40). */
final readonly class Bark implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->goesOn('bark') || $situation->target === null || !$candidate->method->isFor($situation->target)) {
            return [];
        }
        $seen = $situation->fact(FactName::BarkThickness);
        $thickness = is_string($seen?->value) ? $seen->value : $situation->target->barkThickness();
        $rest = $seen !== null ? $seen->certainty : Certainty::Typical;
        if ($thickness === null) {
            return [Finding::unknown('bark-thickness', 'handbook-2-basal-bark', true)];
        }
        if ($thickness !== 'thin') {
            return [Finding::doesNotSuit('bark.too-thick', 'handbook-2-basal-bark', ['bark' => $thickness], 'change.hack-or-stump', $rest)];
        }
        $thickFrom = $situation->target->barkThickensAt();
        if ($seen === null && $thickFrom !== null) {
            foreach ($situation->stems as $group) {
                if ($group->forCeilings()->isGreaterThan($thickFrom)) {
                    return [Finding::withCare('bark.may-be-thick', 'species', ['from' => $thickFrom], 'change.look-at-bark', Certainty::Typical)];
                }
            }
        }

        return [Finding::fits('bark.is-thin', 'handbook-2-basal-bark', [], $rest)];
    }
}
