<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The ground: neither frozen nor washed for what acts in it (rulings J3), moist for pulling, dry for hoeing (handbook
 * 4).
 */
final readonly class SoilReady implements HourRule
{
    private const MOST_RAIN_MILLIMETRES = '13';
    private const HOURS_AFTER = 48;
    private const MOIST_MILLIMETRES = '5';
    private const MOIST_HOURS = 72;
    private const DRY_HOURS = 24;

    public function condition(): Condition
    {
        return Condition::Ground;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $option = $hour->option;
        if ($option->method->usesProduct()) {
            return $option->isSoilActive() || $option->goesOn('soil') ? $this->product($hour) : null;
        }
        // a cactus is dug hot and dry, so that every scrap dies
        if ($option->how('hoe', 'till') || $hour->situation->target?->treatmentClass() === 'cactus') {
            return $this->dry($hour);
        }

        return $option->how('pull', 'lever', 'drag', 'dig') ? $this->moist($hour) : null;
    }

    private function product(WorkHour $hour): Finding
    {
        $top = $hour->weather->topsoil;
        $rain = $hour->forecast->rain($hour->at(), self::HOURS_AFTER);
        $most = Quantity::of(self::MOST_RAIN_MILLIMETRES, Unit::Millimetre);

        // frozen shuts, whatever rain is told; saturated ground is judged with the day
        if ($top !== null && !$top->isGreaterThan(Quantity::zero(Unit::Celsius))) {
            return Finding::notNow('hour.frozen', 'rulings-J3', ['reading' => $top], null, 'change.soil-warms');
        }
        if ($top === null || $rain === null) {
            return Finding::unknown('forecast', 'rulings-J3', true);
        }
        $values = ['rain' => $rain, 'limit' => $most];

        return $rain->isGreaterThan($most)
            ? Finding::notNow('hour.heavy-rain', 'rulings-J3', $values, null, 'change.dry-hour')
            : Finding::fits('hour.ground-takes-it', 'rulings-J3', ['rain' => $rain], $hour->certainty());
    }

    /** What is pulled from dry ground breaks; what somebody felt with the hand beats the rain gauge. */
    private function moist(WorkHour $hour): Finding
    {
        $felt = $hour->situation->word(FactName::SoilMoisture);
        $rain = $hour->forecast->rainBefore($hour->at(), self::MOIST_HOURS);
        if ($felt !== null) {
            return $felt === 'dry'
                ? Finding::withCare('hour.pulls-hard', 'handbook-4')
                : Finding::fits('hour.pulls-well', 'handbook-4', [], Certainty::Observed);
        }

        return match (true) {
            $rain === null => Finding::unknown('soil-moisture', 'handbook-4', false),
            $rain->isLessThan(Quantity::of(self::MOIST_MILLIMETRES, Unit::Millimetre)) => Finding::withCare(
                'hour.pulls-hard',
                'handbook-4',
            ),
            default => Finding::fits('hour.pulls-well', 'handbook-4', [], $hour->certainty()),
        };
    }

    /** What is hoed in the wet strikes root again. */
    private function dry(WorkHour $hour): Finding
    {
        $before = $hour->forecast->rainBefore($hour->at(), self::DRY_HOURS);
        $after = $hour->forecast->rain($hour->at(), self::DRY_HOURS);
        if ($before === null || $after === null) {
            return Finding::unknown('forecast', 'handbook-4', false);
        }

        return $before->plus($after)->isGreaterThan(Quantity::of(1, Unit::Millimetre))
            ? Finding::withCare('hour.hoes-wet', 'handbook-4')
            : Finding::fits('hour.hoes-dry', 'handbook-4', [], $hour->certainty());
    }
}
