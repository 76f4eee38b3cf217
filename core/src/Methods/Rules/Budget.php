<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Labour;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/**
 * More hours than there are (handbook "Choosing", 7): said with both figures; it never shuts a row, since hours are our
 * guess.
 */
final readonly class Budget implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $hours = $situation->quantity(FactName::HoursAtHand);
        if ($hours === null) {
            return [];
        }
        $need = Labour::of($situation, $candidate)->total();
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
