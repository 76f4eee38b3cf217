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
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->isYes(FactName::Volunteers) !== true) {
            return [];
        }
        $clearance = $candidate->method->clearance();

        return match (true) {
            $candidate->method->usesProduct() => [Finding::notAllowed('volunteer.no-product', 'rulings-J19', [], 'change.trained-people')],
            $clearance !== 'none' => [Finding::notAllowed('volunteer.no-tool', 'rulings-J19', ['tool' => $clearance], 'change.trained-people')],
            $situation->target?->hasHazard('poisonous', 'skin-burning-sap', 'irritant-oil') === true => [Finding::notAllowed('volunteer.no-such-plant', 'rulings-J19', [], 'change.trained-people')],
            default => [Finding::fits('volunteer.hand-work', 'rulings-J19', [])],
        };
    }
}
