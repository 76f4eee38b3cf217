<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Product and water (rulings J15): inside the card's buffer only with aquatic permission, oil never; a permit is usually needed. */
final readonly class WaterEdge implements Rule
{
    /** Within this distance water always matters, whatever the card's buffer (mixing distance of rulings J15). */
    public const NEAR_METRES = 30;

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($candidate->is('mow') && $situation->target?->treatmentClass() === 'knotweed') {
            return [Finding::doesNotSuit('water.knotweed-never-mown', 'rulings-J12', [], 'change.dig-or-spray')];
        }
        if (!$candidate->method->usesProduct()) {
            return [];
        }
        $atEdge = $situation->word(FactName::Setting) === 'water-edge';
        $distance = $situation->waterDistance();
        if ($distance === null) {
            return $atEdge ? [Finding::unknown('water-distance', 'rulings-J15', true)] : [];
        }
        $near = !$distance->isGreaterThan(Quantity::of(self::NEAR_METRES, Unit::Metre));
        $card = $candidate->card;
        if ($card === null) {
            if ($near && $candidate->carrier() === 'oil') {
                return [Finding::notAllowed('water.oil-near', 'rulings-J15', ['distance' => $distance], 'change.water-borne-aquatic')];
            }

            return $near ? [Finding::unknown('card-water-buffer', 'rulings-J15', true)] : [];
        }
        if ($card->waterBuffer === null) {
            return $near && !$card->aquaticAllowed ? [Finding::unknown('card-water-buffer', 'label-card', true)] : [];
        }
        $values = ['distance' => $distance, 'buffer' => $card->waterBuffer];
        if (!$distance->isLessThan($card->waterBuffer)) {
            return [Finding::fits('water.outside-buffer', 'label-card', $values)];
        }
        if ($candidate->carrier() === 'oil') {
            return [Finding::notAllowed('water.oil-in-buffer', 'rulings-J15', $values, 'change.water-borne-aquatic')];
        }

        return $card->aquaticAllowed
            ? [Finding::withCare('water.permit', 'rulings-J15', $values)]
            : [Finding::notAllowed('water.inside-buffer', 'label-card', $values, 'change.aquatic-card')];
    }
}
