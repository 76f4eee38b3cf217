<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * A tally is taken where the method needs it (handbook 6): at the base for basal and stump work, at breast height for
 * injection.
 */
final readonly class DiameterPlace implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $wanted = $option->method->diameterAt();
        $measured = $situation->word(FactName::DiameterAt);
        if (
            $wanted === '' ||
            $measured === null ||
            $measured === $wanted ||
            $situation->stems === [] ||
            $situation->target === null ||
            !$option->method->isFor($situation->target)
        ) {
            return [];
        }

        return [Finding::withCare("size.measured-at-{$measured}", 'handbook-6', [], 'change.measure-again')];
    }
}
