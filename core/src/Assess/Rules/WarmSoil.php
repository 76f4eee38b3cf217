<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/** Warm-ground brush takes leaf spray once soil at 1 ft (30 cm) has reached 75 F (handbook 4). */
final readonly class WarmSoil implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->goesOn('leaf') || $situation->target?->treatmentClass() !== 'warm-ground-brush') {
            return [];
        }
        $limit = Quantity::of(75, Unit::Fahrenheit);
        $soil = $situation->quantity(FactName::SoilTemperature);
        if ($soil === null) {
            return [Finding::unknown('soil-temperature-30cm', 'handbook-4', true)];
        }
        $values = ['soil' => $soil, 'limit' => $limit];

        return [
            $soil->isLessThan($limit)
                ? Finding::notNow(
                    'soil.too-cold',
                    'handbook-4',
                    $values,
                    null,
                    'change.soil-warms',
                    Certainty::Measured,
                )
                : Finding::fits('soil.warm', 'handbook-4', $values, Certainty::Measured),
        ];
    }
}
