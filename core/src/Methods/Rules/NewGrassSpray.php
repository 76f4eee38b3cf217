<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** New native grass: herbicide only if weeds are severe, and never over sown forbs (handbook 6). */
final readonly class NewGrassSpray implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct() || $situation->word(FactName::Setting) !== 'new-native-grass' || !$candidate->goesOn('leaf', 'soil')) {
            return [];
        }
        foreach ($situation->keepers as $keeper) {
            if ($keeper->kind === 'forbs' && $candidate->method->isOfArea()) {
                return [Finding::doesNotSuit('grass.forbs-sown', 'handbook-6', ['keeper' => $keeper->name], 'change.mow-or-graze')];
            }
        }

        return [Finding::withCare('grass.herbicide-last', 'handbook-6', [], 'change.mow-or-graze')];
    }
}
