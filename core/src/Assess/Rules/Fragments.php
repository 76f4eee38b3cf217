<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Plants whose pieces root: machines scatter them, and by water none may float off (handbook 2, rulings J12, J24). */
final readonly class Fragments implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        $work = $option->method->work();
        if (
            $target?->fragmentsRegrow() !== true ||
            $option->method->usesProduct() ||
            !in_array($work, ['cutting', 'machine'], true) ||
            !$option->method->isFor($target)
        ) {
            return [];
        }
        $byWater = $situation->word(FactName::Setting) === 'water-edge';

        return [
            match (true) {
                $work === 'machine' && $byWater => Finding::doesNotSuit(
                    'fragments.by-water',
                    'rulings-J12',
                    [],
                    'change.hand-blade',
                ),
                $work === 'machine' => Finding::withCare('fragments.scattered', 'rulings-J24', [], 'change.hand-blade'),
                default => Finding::withCare($byWater ? 'fragments.none-afloat' : 'fragments.collect', 'rulings-J24'),
            },
        ];
    }
}
