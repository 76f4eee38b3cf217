<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Sprinklers are rain that no forecast tells: on watered ground they stay off as long as the card wants no rain, and
 * nobody goes where their water runs to a drain (handbook 4).
 */
final readonly class Sprinklers implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Sprinklers;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if (!$hour->option->method->usesProduct() || !$hour->option->goesOn('leaf', 'soil')) {
            return null;
        }
        $told = $hour->situation->isYes(FactName::Irrigated);
        $mayBe = $hour->situation->word(FactName::Setting) === 'bed-lawn-paving';
        if ($told === false) {
            return Finding::fits('hour.not-watered', 'handbook-4', [], Certainty::Observed);
        }
        if ($told === null && !$mayBe) {
            return null;
        }
        $hours = $hour->option->goesOn('leaf') ? $hour->rainfastHours() : null;

        return $hours === null
            ? Finding::withCare('hour.sprinklers', 'handbook-4')
            : Finding::withCare('hour.sprinklers-off', 'handbook-4', ['hours' => $hours]);
    }
}
