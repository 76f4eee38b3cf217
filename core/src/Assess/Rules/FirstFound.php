<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * The first plants of their kind on a ground: little seed can lie in the soil, so taking them out before seed ends it;
 * found with seed, the ground is watched as long as seed lives (handbook 7).
 */
final readonly class FirstFound implements Rule
{
    private const SOURCE = 'handbook-7';
    private const SEEDING = ['seed', 'seed-set', 'fruit', 'after-fruit'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            $situation->isYes(FactName::FirstFound) !== true ||
            !$option->how('pull', 'dig', 'lever', 'look') ||
            !$option->method->isFor($target)
        ) {
            return [];
        }
        $seeded =
            $situation->isYes(FactName::Fruiting) === true || in_array($situation->stageSeen(), self::SEEDING, true);
        $years = $target->seedBankYears()['max'] ?? null;

        return [
            match (true) {
                !$seeded => Finding::fits('first.before-seed', self::SOURCE),
                $years === null => Finding::withCare('first.has-seeded', self::SOURCE),
                default => Finding::withCare('first.has-seeded-years', self::SOURCE, ['years' => $years]),
            },
        ];
    }
}
