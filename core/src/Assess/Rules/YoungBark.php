<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Systemic sprays along planted trees, in every setting: green or wounded bark is asked at every age, guards stand in
 * the first three years (handbook 2 strip or ring).
 */
final readonly class YoungBark implements ChangesWithSeason
{
    private const GUARDED_YEARS = 3;
    private const SOURCE = 'handbook-2-strip-or-ring';
    private const PLANTED = ['tree', 'shrub', 'planting'];

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$this->concerns($situation, $option)) {
            return [];
        }
        $green = $situation->isYes(FactName::GreenBark);
        if ($green === true) {
            return [
                Finding::doesNotSuit(
                    'trunk.green-or-wounded',
                    self::SOURCE,
                    [],
                    'change.contact-or-hand',
                    Certainty::Observed,
                ),
            ];
        }
        $findings = [
            $green === null
                ? Finding::unknown('green-bark', self::SOURCE, true)
                : Finding::fits('trunk.brown-and-whole', self::SOURCE, [], Certainty::Observed),
        ];

        return [...$findings, ...$this->guards($situation)];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);

        return $planted === null ? [] : [$planted->modify('+' . self::GUARDED_YEARS . ' years')];
    }

    private function concerns(Situation $situation, Option $option): bool
    {
        if (
            !$option->isLeafSpray() ||
            !$option->anyActive(static fn(Active $a): bool => $a->isSystemic() && $a->selectivity() !== 'grass')
        ) {
            return false;
        }
        $along = array_filter(
            $situation->keepers,
            static fn(ProtectedFeature $k): bool => in_array($k->kind, self::PLANTED, true) && $k->isAmongTargets(),
        );

        return $situation->word(FactName::Setting) === 'orchard' ||
            ($along !== [] &&
                ($situation->word(FactName::Setting) === 'new-planting' ||
                    $situation->dayOf(FactName::PlantedOn) !== null));
    }

    /** @return list<Finding> */
    private function guards(Situation $situation): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);
        if ($planted === null) {
            return [Finding::unknown('planted-on', self::SOURCE, true)];
        }
        $until = $planted->modify('+' . self::GUARDED_YEARS . ' years');
        $values = ['planted' => $planted, 'until' => $until];
        if ($situation->day >= $until) {
            return [Finding::fits('trunk.old-enough', self::SOURCE, $values, Certainty::Observed)];
        }

        return [
            $situation->isYes(FactName::TrunkGuards) === true
                ? Finding::withCare('trunk.guarded', self::SOURCE, $values, null, Certainty::Observed)
                : Finding::notNow(
                    'trunk.guards-first',
                    self::SOURCE,
                    $values,
                    null,
                    'change.set-guards',
                    Certainty::Observed,
                ),
        ];
    }
}
