<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Label\CardUse;
use Thicket\Situation\CardCheck;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * The label card is the law (handbook 3): method, site, carrier and licence. Without a card only typical values speak
 * (rulings B9).
 */
final readonly class CardLimits implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        return (new CardCheck())->findings($situation, $option);
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $lines = $option->card?->lines($option->cardUse()) ?? [];

        return array_merge(...array_map(static fn(CardUse $line): array => $line->turns($year), $lines));
    }
}
