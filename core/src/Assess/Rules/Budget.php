<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Brick\Math\RoundingMode;
use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Economics\Labour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * More hours than there are (handbook "Choosing", 7): said with both figures; it never shuts a row, since hours are our
 * guess.
 */
final readonly class Budget implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $hours = $situation->quantity(FactName::HoursAtHand);
        if ($hours === null) {
            return [];
        }
        $need = Labour::of($situation, $option)->total();
        if ($need === null) {
            return [];
        }
        // told no finer than it is known
        $values = [
            'need' => Quantity::of($need->in(Unit::Hour)->toScale(1, RoundingMode::HALF_UP), Unit::Hour),
            'hours' => $hours,
        ];

        return [
            $need->isGreaterThan($hours)
                ? Finding::withCare(
                    'hours.more-than-at-hand',
                    'handbook-9',
                    $values,
                    'change.split-work',
                    Certainty::Estimated,
                )
                : Finding::fits('hours.enough', 'handbook-9', $values, Certainty::Estimated),
        ];
    }
}
