<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Grafted roots, and what reaches kept trees through the soil: by what the actives do to tree roots, the worst counts
 * (rulings J28, J47).
 */
final readonly class RootsOfKeepers implements Rule
{
    private const WORST = ['no', 'with-care', 'unknown', 'yes'];

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct()) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            if (!$keeper->isRooted()) {
                continue;
            }
            $findings = [...$findings, ...$this->soilReach($keeper, $option)];
            if ($option->goesOn('stump', 'wood') && $this->mayShareRoots($situation, $option, $keeper)) {
                $findings = [...$findings, ...$this->grafts($situation, $option, $keeper)];
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function soilReach(ProtectedFeature $keeper, Option $option): array
    {
        $harm = $this->harm($keeper, $option);
        if ($harm === 'no') {
            return [];
        }
        $reach = $keeper->rootReach();
        if ($keeper->distance === null) {
            return [Finding::unknown('keeper-distance', 'rulings-J28', true, ['keeper' => $keeper->name])];
        }
        if ($reach === null) {
            return [Finding::unknown('keeper-size', 'rulings-J28', true, ['keeper' => $keeper->name])];
        }
        $values = ['keeper' => $keeper->name, 'distance' => $keeper->distance, 'reach' => $reach];
        if (!$keeper->distance->isLessThan($reach)) {
            return [Finding::fits('roots.out-of-reach', 'rulings-J28', $values)];
        }

        return [
            match ($harm) {
                'families' => Finding::notAllowed(
                    'roots.family-harmed',
                    'rulings-J47',
                    $values + ['active' => $option->activeNames()],
                    'change.no-soil-active',
                ),
                'yes' => Finding::doesNotSuit(
                    'roots.soil-active-reach',
                    'rulings-J28',
                    $values,
                    'change.no-soil-active',
                ),
                'unknown' => Finding::unknown('keeper-tolerance', 'rulings-J47', true, [
                    'keeper' => $keeper->name,
                    'active' => $option->activeNames(),
                ]),
                default => Finding::withCare(
                    'roots.may-take-it-up',
                    'rulings-J47',
                    $values + ['active' => $option->activeNames()],
                    'change.no-soil-active',
                ),
            },
        ];
    }

    /** no, with-care, unknown, yes or families (this very tree is of one), whichever active of the tank is worst. */
    private function harm(ProtectedFeature $keeper, Option $option): string
    {
        $family = $keeper->speciesId === null ? null : $option->catalogue->species($keeper->speciesId)->family();
        $worst = array_filter($option->cards(), static fn($card): bool => $card->contents->soilActive) === [] ? 0 : 1;
        foreach ($option->actives() as $active) {
            $harm = $active->harmsTreesByRoots();
            if ($harm === 'families' && $family !== null && in_array($family, $active->treeFamiliesHarmed(), true)) {
                return 'families';
            }
            $own = match ($harm) {
                'families' => 'with-care',
                'on-area' => $option->method->isOfArea() ? 'yes' : 'with-care',
                default => $harm,
            };
            $worst = max($worst, (int) array_search($own, self::WORST, true));
        }

        return self::WORST[$worst];
    }

    /** Of its own kind; and of another where both sucker, since their roots may graft (rulings J57). */
    private function mayShareRoots(Situation $situation, Option $option, ProtectedFeature $keeper): bool
    {
        if ($keeper->speciesId === null || $situation->target === null) {
            return false;
        }

        return $keeper->speciesId === $situation->target->id() ||
            ($situation->target->isRootSuckering() &&
                $option->catalogue->species($keeper->speciesId)->isRootSuckering());
    }

    /** @return list<Finding> */
    private function grafts(Situation $situation, Option $option, ProtectedFeature $keeper): array
    {
        $near =
            $keeper->distance === null ||
            $keeper->crownRadius === null ||
            $keeper->distance->isLessThan($keeper->crownRadius->times(2));
        if (!$near || !$option->anyActive(static fn(Active $a): bool => $a->isSystemic())) {
            return [];
        }
        $values = ['keeper' => $keeper->name] + ($keeper->distance === null ? [] : ['distance' => $keeper->distance]);
        if (
            $keeper->speciesId === $situation->target?->id() &&
            $situation->target?->isRootSuckering() === true &&
            !$option->isSoilActive()
        ) {
            return [Finding::doesNotSuit('roots.clone-kept', 'rulings-J57', $values, 'change.double-girdle')];
        }
        if ($keeper->speciesId !== $situation->target?->id() && !$option->isSoilActive()) {
            return [Finding::withCare('roots.kinds-may-graft', 'rulings-J57', $values, 'change.girdle-or-pull')];
        }

        return [
            $option->isSoilActive()
                ? Finding::notAllowed('roots.grafted-soil-active', 'rulings-J28', $values, 'change.no-soil-active')
                : Finding::withCare('roots.may-be-grafted', 'rulings-J28', $values, 'change.girdle-or-pull'),
        ];
    }
}
