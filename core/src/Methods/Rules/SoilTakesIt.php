<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Soil-active and soil-applied products: not on saturated ground (rulings J3), and some not over shallow groundwater (J26). */
final readonly class SoilTakesIt implements Rule
{
    private const LEACHING = ['imazapyr', 'hexazinone', 'picloram', 'simazine'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct() || (!$candidate->isSoilActive() && !$candidate->goesOn('soil'))) {
            return [];
        }
        $findings = [];
        if ($situation->word(FactName::SoilMoisture) === 'wet') {
            $findings[] = Finding::notNow('ground.saturated', 'rulings-J3', [], null, 'change.ground-drains', Certainty::Observed);
        }
        if ($candidate->active !== null && in_array($candidate->active->id(), self::LEACHING, true)) {
            $shallow = $situation->isYes(FactName::ShallowGroundwater);
            $values = ['active' => $candidate->active->name()];
            if ($shallow === true) {
                $findings[] = Finding::doesNotSuit('ground.shallow-water', 'rulings-J26', $values, 'change.no-soil-active', Certainty::Observed);
            } elseif ($shallow === null) {
                $findings[] = Finding::unknown('shallow-groundwater', 'rulings-J26', false, $values);
            }
        }

        return $findings;
    }
}
