<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Volunteers without training do hand work only, and never in plants with burning or poisonous sap (rulings J19, J35, handbook 2 cut stump). */
final readonly class Untrained implements Rule
{
    /** Plants that untrained hands keep off. */
    private const HAZARDS = ['poisonous', 'skin-burning-sap', 'irritant-oil'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->isYes(FactName::Volunteers) !== true) {
            return [];
        }
        $clearance = $candidate->method->clearance();

        return match (true) {
            $candidate->method->usesProduct() => [Finding::notAllowed('volunteer.no-product', 'rulings-J19', [], 'change.trained-people')],
            $clearance !== 'none' => [Finding::notAllowed('volunteer.no-tool', 'rulings-J19', ['tool' => $clearance], 'change.trained-people')],
            $situation->target?->hasHazard(...self::HAZARDS) === true => [Finding::notAllowed('volunteer.no-such-plant', 'rulings-J19', [], 'change.trained-people')],
            // without a name it may be any plant that is still in play; where nothing was seen, any at all (J25, J55)
            $situation->target === null && ($situation->unnamed === null || $situation->unnamed->couldBeAny || array_intersect(self::HAZARDS, $situation->unnamed->hazards) !== []) => [Finding::notAllowed('volunteer.unnamed', 'rulings-J55', [], 'change.name-it')],
            default => [Finding::fits('volunteer.hand-work', 'rulings-J19', [])],
        };
    }
}
