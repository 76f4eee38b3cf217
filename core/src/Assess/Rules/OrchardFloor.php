<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * What the floor under the trees is (handbook 6): sod and mulch hold a preventer off the soil, clover dies of what
 * takes broad leaves, mulch burns.
 */
final readonly class OrchardFloor implements Rule
{
    private const SOURCE = 'handbook-6';
    private const SPARES_CLOVER = ['grass', 'sedge'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$option->method->isFor($target)) {
            return [];
        }
        $floor = $situation->word(FactName::Floor);
        $onSoil = $option->goesOn('soil');
        if ($floor === null) {
            return $onSoil && $situation->word(FactName::Setting) === 'orchard'
                ? [Finding::unknown(FactName::Floor->value, self::SOURCE, false)]
                : [];
        }

        return match (true) {
            $onSoil && $floor === 'sod' => [
                Finding::withCare('floor.sod-holds-it', self::SOURCE, [], 'change.bare-first'),
            ],
            $onSoil && $floor === 'mulch' => [
                Finding::withCare('floor.mulch-holds-it', self::SOURCE, [], 'change.bare-first'),
            ],
            $floor === 'clover' &&
                $option->isLeafSpray() &&
                !in_array($option->method->guard(), ['shield', 'wick'], true) &&
                $option->anyActive(
                    static fn(Active $a): bool => !in_array($a->selectivity(), self::SPARES_CLOVER, true),
                )
                => [Finding::withCare('floor.clover-goes', self::SOURCE)],
            $floor === 'mulch' && $option->method->work() === 'fire' && $situation->word(FactName::Litter) === null => [
                Finding::unknown(FactName::Litter->value, self::SOURCE, true),
            ],
            default => [],
        };
    }
}
