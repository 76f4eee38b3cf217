<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Moving soil wakes the seed that lies in it (handbook 2): said where the plant's seed lasts years, with how long
 * patrols run (rulings J23).
 */
final readonly class SeedInSoil implements Rule
{
    private const MOVING = ['dig', 'till', 'drag', 'lever'];
    private const LASTING_YEARS = 3;

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$option->how(...self::MOVING) || !$option->method->isFor($target)) {
            return [];
        }
        $years = $target->seedBankYears();
        if ($years === null || $years['typical'] < self::LASTING_YEARS) {
            return [];
        }

        return [
            Finding::withCare(
                'seed.woken',
                'handbook-2',
                ['years' => $years['typical'], 'to' => $years['max']],
                'change.patrol',
                Certainty::Typical,
            ),
        ];
    }
}
