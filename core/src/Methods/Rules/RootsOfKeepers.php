<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Keeper;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Grafted roots and the reach of soil-active products to kept trees (rulings J28). */
final readonly class RootsOfKeepers implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct()) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            if (!$keeper->isRooted()) {
                continue;
            }
            if ($candidate->isSoilActive()) {
                $findings = [...$findings, ...$this->soilReach($keeper)];
            }
            if ($keeper->speciesId !== null && $keeper->speciesId === $situation->target?->id() && $candidate->goesOn('stump', 'wood')) {
                $findings = [...$findings, ...$this->grafts($situation, $candidate, $keeper)];
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function soilReach(Keeper $keeper): array
    {
        $reach = $keeper->rootReach();
        if ($keeper->distance === null) {
            return [Finding::unknown('keeper-distance', 'rulings-J28', true, ['keeper' => $keeper->name])];
        }
        if ($reach === null) {
            return [Finding::unknown('keeper-size', 'rulings-J28', true, ['keeper' => $keeper->name])];
        }
        $values = ['keeper' => $keeper->name, 'distance' => $keeper->distance, 'reach' => $reach];

        return [$keeper->distance->isLessThan($reach)
            ? Finding::doesNotSuit('roots.soil-active-reach', 'rulings-J28', $values, 'change.no-soil-active')
            : Finding::fits('roots.out-of-reach', 'rulings-J28', $values)];
    }

    /** @return list<Finding> */
    private function grafts(Situation $situation, Candidate $candidate, Keeper $keeper): array
    {
        $near = $keeper->distance === null || $keeper->crownRadius === null
            || $keeper->distance->isLessThan($keeper->crownRadius->times(2));
        if (!$near) {
            return [];
        }
        $values = ['keeper' => $keeper->name] + ($keeper->distance === null ? [] : ['distance' => $keeper->distance]);

        return [$candidate->isSoilActive()
            ? Finding::notAllowed('roots.grafted-soil-active', 'rulings-J28', $values, 'change.no-soil-active')
            : Finding::withCare('roots.may-be-grafted', 'rulings-J28', $values, 'change.girdle-or-pull')];
    }
}
