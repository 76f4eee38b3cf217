<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * New native grass: herbicide only if weeds are severe (handbook 6), no leaf spray that takes forbs where they were
 * sown (J46), no nitrogen in the first season, in no product either (handbook 2).
 */
final readonly class NewGrassSpray implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            !$option->method->usesProduct() ||
            $situation->word(FactName::Setting) !== 'new-native-grass' ||
            !$option->goesOn('leaf', 'soil')
        ) {
            return [];
        }
        $findings = [];
        $over = $situation->firstSeasonOver();
        $fed = array_filter(
            $option->cards(),
            static fn(LabelCard $card): bool => $card->contents->hasNitrogen() === true,
        );
        if ($fed !== [] && ($over === null || $situation->day < $over)) {
            $findings[] = Finding::notAllowed(
                'grass.no-nitrogen',
                'handbook-2',
                ['product' => reset($fed)->product],
                'change.unfed-product',
            );
        }
        foreach ($situation->keepers as $keeper) {
            if ($keeper->kind === 'forbs' && $this->takesForbs($option)) {
                return [
                    ...$findings,
                    Finding::notAllowed(
                        'grass.forbs-sown',
                        'rulings-J46',
                        ['keeper' => $keeper->name],
                        'change.mow-or-graze',
                    ),
                ];
            }
            if ($keeper->kind === 'forbs' && $option->method->isOfArea()) {
                return [
                    ...$findings,
                    Finding::doesNotSuit(
                        'grass.forbs-sown',
                        'handbook-6',
                        ['keeper' => $keeper->name],
                        'change.mow-or-graze',
                    ),
                ];
            }
        }

        return [...$findings, Finding::withCare('grass.herbicide-last', 'handbook-6', [], 'change.mow-or-graze')];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        return array_filter([$situation->firstSeasonOver()]);
    }

    /**
     * A spray on leaves that takes broad-leaved plants, spot and shielded ones too; a wiper touches what stands above
     * them only.
     */
    private function takesForbs(Option $option): bool
    {
        return $option->isLeafSpray() &&
            $option->anyActive(
                static fn(Active $a): bool => in_array($a->selectivity(), ['broadleaf', 'non-selective'], true),
            );
    }
}
