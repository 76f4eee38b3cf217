<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Mowing among trees in their first three years: mowing alone does not establish them (handbook 6). */
final readonly class AmongYoungTrees implements ChangesWithSeason
{
    private const YOUNG_YEARS = 3;
    private const SETTINGS = ['orchard', 'new-planting'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);
        if (
            !$option->how('mow') ||
            $planted === null ||
            !in_array($situation->word(FactName::Setting), self::SETTINGS, true)
        ) {
            return [];
        }

        return $planted <= $situation->day && $situation->day < $this->grown($planted)
            ? [Finding::withCare('mow.does-not-establish', 'handbook-6', ['planted' => $planted], 'change.release-too')]
            : [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);

        return $planted === null ? [] : [$planted, $this->grown($planted)];
    }

    private function grown(\DateTimeImmutable $planted): \DateTimeImmutable
    {
        return $planted->modify('+' . self::YOUNG_YEARS . ' years');
    }
}
