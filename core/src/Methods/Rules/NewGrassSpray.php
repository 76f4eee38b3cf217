<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** New native grass: herbicide only if weeds are severe (handbook 6), and no leaf spray that takes forbs where they were sown (J46). */
final readonly class NewGrassSpray implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct() || $situation->word(FactName::Setting) !== 'new-native-grass' || !$candidate->goesOn('leaf', 'soil')) {
            return [];
        }
        foreach ($situation->keepers as $keeper) {
            if ($keeper->kind === 'forbs' && $this->takesForbs($candidate)) {
                return [Finding::notAllowed('grass.forbs-sown', 'rulings-J46', ['keeper' => $keeper->name], 'change.mow-or-graze')];
            }
            if ($keeper->kind === 'forbs' && $candidate->method->isOfArea()) {
                return [Finding::doesNotSuit('grass.forbs-sown', 'handbook-6', ['keeper' => $keeper->name], 'change.mow-or-graze')];
            }
        }

        return [Finding::withCare('grass.herbicide-last', 'handbook-6', [], 'change.mow-or-graze')];
    }

    /** A spray on leaves that takes broad-leaved plants, spot and shielded ones too; a wiper touches what stands above them only. */
    private function takesForbs(Candidate $candidate): bool
    {
        return $candidate->method->work() === 'spray' && $candidate->goesOn('leaf')
            && in_array($candidate->active?->selectivity(), ['broadleaf', 'non-selective'], true);
    }
}
