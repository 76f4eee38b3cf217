<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Many stems from one base put injection out by form and make other work dear (handbook 2). */
final readonly class StemsPerClump implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $most = $situation->mostStemsPerClump();
        if ($most <= 1 || $situation->target === null || !$option->method->isFor($situation->target)) {
            return [];
        }
        $many = $option->catalogue->coefficients()->manyStems();
        $values = ['stems' => $most, 'many' => $many];
        if ($option->method->work() === 'injection') {
            return $most >= $many
                ? [
                    Finding::doesNotSuit(
                        'clump.too-many-to-cut',
                        'handbook-2-hack-and-squirt',
                        $values,
                        'change.stump-or-foliar',
                    ),
                ]
                : [Finding::withCare('clump.cut-each', 'handbook-2-hack-and-squirt', $values)];
        }
        if ($option->how('lever')) {
            return [Finding::withCare('clump.grip-again', 'handbook-2-lever-puller', $values)];
        }

        if ($option->how('girdle') && $most >= $many) {
            return [Finding::withCare('clump.ring-each', 'rulings-J57', $values, 'change.stump-or-foliar')];
        }

        return $option->goesOn('bark') && $most >= $many
            ? [Finding::withCare('clump.costs-climb', 'rulings-J59', $values, 'change.leaf-spray-instead')]
            : [];
    }
}
