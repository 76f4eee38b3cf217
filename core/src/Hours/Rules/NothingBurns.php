<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Assess\Rules\Flame;
use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;
use Thicket\Weather\Surface;

/** Fire only where nothing dry can burn, and in little wind (rulings J35, J54). */
final readonly class NothingBurns implements HourRule
{
    public function condition(): Condition
    {
        return Condition::Fire;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        if ($hour->option->method->work() !== 'fire') {
            return null;
        }
        $wind = $hour->weather->wind;
        $limit = Quantity::of(Flame::MOST_WIND_METRES_A_SECOND, Unit::MetrePerSecond);
        if ($wind !== null && $wind->isGreaterThan($limit)) {
            $values = ['wind' => $wind, 'limit' => $limit];

            return Finding::notNow('flame.wind', 'rulings-J35', $values, null, 'change.calm');
        }
        if ($hour->situation->word(FactName::Litter) === 'none') {
            return $wind === null
                ? Finding::unknown('forecast', 'rulings-J35', true)
                : Finding::fits('flame.bare', 'rulings-J54', [], Certainty::Observed);
        }
        $isWet = $hour->forecast->wetness(Surface::Ground)->isWetAt($hour->at());

        return match (true) {
            $isWet === null || $wind === null => Finding::unknown('forecast', 'rulings-J54', true),
            $isWet => Finding::withCare('hour.litter-wet', 'rulings-J54', [], null, $hour->certainty()),
            default => Finding::notNow('hour.litter-dry', 'rulings-J54', [], null, 'change.wet-mulch'),
        };
    }
}
