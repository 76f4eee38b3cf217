<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;
use Thicket\Timing\Day;

/** Mowing among trees in their first three years: mowing alone does not establish them (handbook 6). */
final readonly class AmongYoungTrees implements Rule
{
    private const YOUNG_YEARS = 3;
    private const SETTINGS = ['orchard', 'new-planting'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);
        if (!$candidate->how('mow') || $planted === null || !in_array($situation->word(FactName::Setting), self::SETTINGS, true)) {
            return [];
        }

        return Day::between($planted, $situation->day) < 365 * self::YOUNG_YEARS && $planted <= $situation->day
            ? [Finding::withCare('mow.does-not-establish', 'handbook-6', ['planted' => $planted], 'change.release-too')] : [];
    }
}
