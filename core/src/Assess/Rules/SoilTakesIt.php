<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Soil-active and soil-applied products: not on saturated ground (rulings J3), and some not over shallow groundwater
 * (J26).
 */
final readonly class SoilTakesIt implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct() || (!$option->isSoilActive() && !$option->goesOn('soil'))) {
            return [];
        }
        $findings = [];
        if ($situation->word(FactName::SoilMoisture) === 'wet') {
            $findings[] = Finding::notNow(
                'ground.saturated',
                'rulings-J3',
                [],
                null,
                'change.ground-drains',
                Certainty::Observed,
            );
        }
        $leaching = array_filter($option->actives(), static fn(Active $a): bool => $a->leaches());
        if ($leaching !== []) {
            $shallow = $situation->isYes(FactName::ShallowGroundwater);
            $values = ['active' => implode(' + ', array_map(static fn(Active $a): string => $a->name(), $leaching))];
            if ($shallow === true) {
                $findings[] = Finding::doesNotSuit(
                    'ground.shallow-water',
                    'rulings-J26',
                    $values,
                    'change.no-soil-active',
                    Certainty::Observed,
                );
            } elseif ($shallow === null) {
                $findings[] = Finding::unknown('shallow-groundwater', 'rulings-J26', false, $values);
            }
        }

        return $findings;
    }
}
