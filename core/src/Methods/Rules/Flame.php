<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Flame (handbook 2, rulings J35): grasses survive it, perennials lose their tops only; not in drought, nor in wind above 4 m/s. */
final readonly class Flame implements Rule
{
    private const MOST_WIND_METRES_A_SECOND = '4';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if (!$candidate->is('flame') || $target === null) {
            return [];
        }
        if (in_array($target->habit(), ['grass', 'sedge', 'reed'], true)) {
            return [Finding::doesNotSuit('flame.grass', 'handbook-2-flame', [], 'change.other-helpers')];
        }
        $findings = [Finding::withCare('flame.mulch', 'rulings-J35', [], 'change.wet-mulch')];
        if (in_array($target->lifeCycle(), ['simple-perennial', 'creeping-perennial'], true)) {
            $findings[] = Finding::withCare('flame.perennial', 'handbook-2-flame');
        }
        if ($situation->isYes(FactName::Drought) === true) {
            $findings[] = Finding::notNow('flame.drought', 'rulings-J35', [], null, 'change.after-rain', Certainty::Observed);
        }
        $wind = $situation->quantity(FactName::WindSpeed);
        $limit = Quantity::of(self::MOST_WIND_METRES_A_SECOND, Unit::MetrePerSecond);
        if ($wind !== null && $wind->isGreaterThan($limit)) {
            $findings[] = Finding::notNow('flame.wind', 'rulings-J35', ['wind' => $wind, 'limit' => $limit], null, 'change.calm', Certainty::Measured);
        }

        return $findings;
    }
}
