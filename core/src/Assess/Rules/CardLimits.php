<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\TurnsWithTheYear;
use Thicket\Label\CardUse;
use Thicket\Situation\Candidate;
use Thicket\Situation\CardCheck;
use Thicket\Situation\Situation;

/**
 * The label card is the law (handbook 3): method, site, carrier and licence. Without a card only typical values speak
 * (rulings B9).
 */
final readonly class CardLimits implements TurnsWithTheYear
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        return (new CardCheck())->findings($situation, $candidate);
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        $lines = $candidate->card?->lines($candidate->cardUse()) ?? [];

        return array_merge(...array_map(static fn(CardUse $line): array => $line->turns($year), $lines));
    }
}
