<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What people take from the ground to eat (rulings J8, J53), for every way with product while the edible part is there:
 * picked, or unknown near a public way, not now; unknown elsewhere, cannot tell; answered no, fits.
 */
final readonly class FoodTaken implements ChangesWithSeason
{
    private const FRUIT = ['fruit', 'nut', 'seed'];
    private const GREEN = ['leaf', 'stem', 'shoot', 'flower', 'root', 'tuber'];
    private const SOURCE = 'rulings-J53';

    public function evaluate(Situation $situation, Option $option): array
    {
        $parts = $situation->target?->edibleParts() ?? [];
        if (!$option->method->usesProduct() || $parts === []) {
            return [];
        }
        $hangs = array_intersect($parts, self::FRUIT) !== [] && $this->fruitHangs($situation);
        $grows = array_intersect($parts, self::GREEN) !== [] && $situation->flow() !== 'still';
        $tapped = in_array('sap', $parts, true);
        if (!$hangs && !$grows && !$tapped) {
            return [];
        }
        $taken = $situation->isYes(FactName::FoodTaken);
        if ($taken === false) {
            return [Finding::fits('food.nobody-picks', self::SOURCE, [], Certainty::Observed)];
        }
        $public =
            $situation->isYes(FactName::PublicWay) === true ||
            array_filter($situation->keepers, static fn(ProtectedFeature $k): bool => $k->kind === 'path') !== [];

        return [
            match (true) {
                $taken === true => Finding::notNow(
                    'food.taken-here',
                    self::SOURCE,
                    [],
                    null,
                    'change.fruit-off-and-signs',
                    Certainty::Observed,
                ),
                $public && ($hangs || $grows) => Finding::notNow(
                    'food.may-be-taken',
                    self::SOURCE,
                    [],
                    null,
                    'change.fruit-off-and-signs',
                    Certainty::Unknown,
                ),
                // fruit is what J53 asks of; leaves and sap are asked after, and do not shut the row unasked
                default => Finding::unknown('food-taken', self::SOURCE, $hangs),
            },
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $parts = $option->method->usesProduct() ? $situation->target?->edibleParts() ?? [] : [];
        $phenology = $situation->phenology();

        return [
            ...array_intersect($parts, self::FRUIT) === [] ? [] : $phenology?->fruitTurns($year) ?? [],
            ...array_intersect($parts, self::GREEN) === [] ? [] : $phenology?->turns($year) ?? [],
        ];
    }

    private function fruitHangs(Situation $situation): bool
    {
        return $situation->isYes(FactName::Fruiting) ?? ($situation->phenology()?->mayFruitOn($situation->day) ?? true);
    }
}
