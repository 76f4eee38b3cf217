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

/** Running grasses are sprayed while growing at 15-25 cm (rulings J12). */
final readonly class GrassHeight implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->goesOn('leaf') || $situation->target?->treatmentClass() !== 'running-grass') {
            return [];
        }
        $height = $situation->quantity(FactName::Height);
        if ($height === null) {
            return [];
        }
        $least = Quantity::of(15, Unit::Centimetre);
        $most = Quantity::of(25, Unit::Centimetre);
        $values = ['height' => $height, 'least' => $least, 'most' => $most];

        return [
            match (true) {
                $height->isLessThan($least) => Finding::notNow(
                    'grass.too-short',
                    'rulings-J12',
                    $values,
                    null,
                    'change.grass-grows',
                    Certainty::Observed,
                ),
                $height->isGreaterThan($most) => Finding::withCare(
                    'grass.tall',
                    'rulings-J12',
                    $values,
                    null,
                    Certainty::Observed,
                ),
                default => Finding::fits('grass.right-height', 'rulings-J12', $values, Certainty::Observed),
            },
        ];
    }
}
