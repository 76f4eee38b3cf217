<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;

/** Orchard trees: guards in the first three years with systemic products, and never onto green or wounded bark (handbook 2 strip or ring). */
final readonly class YoungBark implements TurnsWithTheYear
{
    private const GUARDED_YEARS = 3;
    private const SOURCE = 'handbook-2-strip-or-ring';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->word(FactName::Setting) !== 'orchard' || $candidate->active?->isSystemic() !== true || !$candidate->isLeafSpray()) {
            return [];
        }
        if ($situation->isYes(FactName::GreenBark) === true) {
            return [Finding::doesNotSuit('trunk.green-or-wounded', self::SOURCE, [], 'change.contact-or-hand', Certainty::Observed)];
        }
        $planted = $situation->dayOf(FactName::PlantedOn);
        if ($planted === null) {
            return [Finding::unknown('planted-on', self::SOURCE, true)];
        }
        $until = $planted->modify('+' . self::GUARDED_YEARS . ' years');
        $values = ['planted' => $planted, 'until' => $until];
        if ($situation->day >= $until) {
            return [Finding::fits('trunk.old-enough', self::SOURCE, $values, Certainty::Observed)];
        }

        return [match ($situation->isYes(FactName::TrunkGuards)) {
            true => Finding::withCare('trunk.guarded', self::SOURCE, $values, null, Certainty::Observed),
            default => Finding::notNow('trunk.guards-first', self::SOURCE, $values, null, 'change.set-guards', Certainty::Observed),
        }];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);

        return $planted === null ? [] : [$planted->modify('+' . self::GUARDED_YEARS . ' years')];
    }
}
