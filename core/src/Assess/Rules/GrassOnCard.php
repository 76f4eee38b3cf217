<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\KeptPlant;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * The card's own list of grasses goes before all data (rulings J45): not tolerant, or others named and not this one, is
 * not allowed.
 */
final readonly class GrassOnCard implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->isLeafSpray()) {
            return [];
        }
        $findings = [];
        foreach ($option->cards() as $card) {
            foreach ($situation->keepers as $keeper) {
                $kept = KeptPlant::of($keeper, $option->catalogue);
                if ($kept?->kind !== 'grass' || $kept->species === null || !$keeper->isAmongTargets()) {
                    continue;
                }
                $values = ['keeper' => $keeper->name, 'product' => $card->product];
                $tolerant = $card->directions->plants->grassesTolerant;
                $harmed = $card->directions->plants->grassesHarmed;
                $injures = $option->anyActive(static fn($a): bool => $a->injuresGrasses());
                $findings[] = match (true) {
                    in_array($kept->species->id(), $harmed, true) => Finding::notAllowed(
                        'grass.card-not-tolerant',
                        'label-card',
                        $values,
                        'change.other-card',
                    ),
                    in_array($kept->species->id(), $tolerant, true) => Finding::fits(
                        'grass.card-tolerant',
                        'label-card',
                        $values,
                    ),
                    $tolerant !== [] => Finding::notAllowed(
                        'grass.card-not-named',
                        'label-card',
                        $values,
                        'change.other-card',
                    ),
                    $injures => Finding::unknown('card-grasses', 'rulings-J45', true, $values),
                    default => null,
                };
            }
        }

        return array_values(array_filter($findings));
    }
}
