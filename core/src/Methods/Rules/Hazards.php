<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Plants that poison, burn or prick (handbook 5, rulings J36), stock that could eat them (J4), food taken here (J8), bees (J39). */
final readonly class Hazards implements Rule
{
    private const POISONOUS = ['poisonous', 'skin-burning-sap', 'irritant-oil'];
    private const STOCK = ['toxic-to-stock', 'toxic-when-wilted', 'nitrate-former', 'cyanide-former', 'poisonous'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null) {
            return [];
        }
        $findings = [];
        if ($target->hasHazard(...self::POISONOUS)) {
            $findings[] = in_array($candidate->method->work(), ['machine', 'fire'], true)
                ? Finding::doesNotSuit('hazard.never-trim', 'handbook-5', [], 'change.hand-blade')
                : Finding::withCare($target->hasHazard('skin-burning-sap') ? 'hazard.burning-sap' : 'hazard.poisonous', 'handbook-5');
        } elseif ($target->hasHazard('thorns', 'spines', 'skin-irritant') && in_array($candidate->method->work(), ['hand', 'cutting'], true)) {
            $findings[] = Finding::withCare('hazard.gloves', 'handbook-5');
        }
        if ($target->hasHazard(...self::STOCK)) {
            foreach ($situation->keepers as $keeper) {
                if ($keeper->kind === 'stock') {
                    $findings[] = Finding::withCare('hazard.stock-out', 'rulings-J4', ['keeper' => $keeper->name]);
                }
            }
        }
        if ($candidate->method->usesProduct() && $target->data->strings('edible') !== [] && $situation->isYes(FactName::FoodTaken) === true) {
            $findings[] = Finding::notNow('food.taken-here', 'rulings-J8', [], null, 'change.fruit-off-and-signs');
        }
        if ($candidate->isLeafSpray() && $situation->isYes(FactName::BeesFlying) === true) {
            $findings[] = Finding::notNow('bees.in-flower', 'rulings-J39', [], null, 'change.bloom-over');
        }

        return $findings;
    }
}
