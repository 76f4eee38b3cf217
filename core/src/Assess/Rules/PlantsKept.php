<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\RestsOnSchool;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Situation\KeptPlant;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Situation\SprayReach;
use Thicket\Verdict\Finding;

/**
 * Keep or kill, read from the plant kept (rulings J45, J46): by its species first, else by its kind; all actives of the
 * tank, the worst counts. No class rule ever says 'safe' (J14).
 */
final readonly class PlantsKept implements RestsOnSchool, ChangesWithSeason
{
    public function school(Situation $situation, Option $option): ?string
    {
        return $option->goesOn('leaf') ? 'foliar-droplet' : null;
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($option->actives() === [] || !$option->method->usesProduct() || $option->goesOn('soil')) {
            return [];
        }
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            $finding = $this->ofKeeper($keeper, $situation, $option);
            $finding === null || ($findings[] = $finding);
        }

        return $findings;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        return array_filter([$situation->firstSeasonOver()]);
    }

    private function ofKeeper(ProtectedFeature $keeper, Situation $situation, Option $option): ?Finding
    {
        $kept = KeptPlant::of($keeper, $option->catalogue);
        if ($kept === null) {
            return null;
        }
        $taken = $kept->isTakenBy($option->actives());
        $values = ['keeper' => $keeper->name, 'active' => $option->activeNames()];
        $reach = SprayReach::of($situation, $option);
        if ($taken !== false && $keeper->distance !== null && $keeper->distance->isGreaterThan($reach)) {
            return Finding::fits(
                'keep.beyond-reach',
                'rulings-J46',
                $values + ['distance' => $keeper->distance, 'reach' => $reach],
            );
        }
        if (!$option->goesOn('leaf')) {
            return $taken === false
                ? null
                : Finding::withCare('keep.beside-the-stem', 'rulings-J46', $values, 'change.shield');
        }
        $guard = $option->method->guard();
        if (
            $kept->isYoungGrass($situation) &&
            $guard !== 'wick' &&
            $guard !== 'shield' &&
            !$this->isAllowedByCard($kept, $option)
        ) {
            return $this->coversAll($keeper, $situation, $option)
                ? Finding::doesNotSuit('keep.first-season', 'rulings-J45', $values, 'change.after-first-season')
                : Finding::withCare('keep.may-be-hit', 'rulings-J45', $values, 'change.shield');
        }
        if ($taken === false) {
            return $kept->kind === 'sedge'
                ? Finding::withCare('keep.sedge-spared', 'rulings-J46', $values)
                : Finding::fits('keep.expected-spared', 'rulings-J46', $values);
        }
        if ($taken === null) {
            return in_array($guard, ['shield', 'wick'], true)
                ? Finding::withCare('keep.not-known-guarded', 'rulings-J46', $values)
                : Finding::unknown('keeper-tolerance', 'rulings-J46', true, $values);
        }

        return match (true) {
            $guard === 'wick' => Finding::withCare('keep.below-wick', 'rulings-J46', $values),
            $guard === 'shield' && $option->anyActive(static fn($a): bool => $a->isVolatile()) => Finding::withCare(
                'keep.vapour-behind-shield',
                'rulings-J46',
                $values,
                'change.not-volatile',
            ),
            $guard === 'shield' => Finding::withCare('keep.shielded', 'handbook-2-shielded-spot-spray', $values),
            $guard === 'class', $this->coversAll($keeper, $situation, $option) => $this->wholePatch(
                $kept,
                $situation,
                $option,
                $values,
            ),
            default => Finding::withCare('keep.may-be-hit', 'handbook-2', $values, 'change.shield'),
        };
    }

    /** Every card of the tank names the grass as one that stands it. */
    private function isAllowedByCard(KeptPlant $kept, Option $option): bool
    {
        $naming = array_filter(
            $option->cards(),
            static fn(LabelCard $card): bool => in_array(
                $kept->species?->id(),
                $card->directions->plants->grassesTolerant,
                true,
            ),
        );

        return $naming !== [] && count($naming) === count($option->cards());
    }

    /** A spray over all of the ground that the keeper stands in cannot be aimed away from it. */
    private function coversAll(ProtectedFeature $keeper, Situation $situation, Option $option): bool
    {
        return $option->method->coversGround() && $keeper->isAmongTargets();
    }

    /**
     * Injury by kind (rulings J45); in a solid thicket there is little grass left to lose.
     *
     * @param array<string, Quantity|string> $values
     */
    private function wholePatch(KeptPlant $kept, Situation $situation, Option $option, array $values): Finding
    {
        $injury = $kept->injuryHere($option->actives(), $situation);
        if ($kept->kind === 'grass' && $situation->word(FactName::Cover) === 'solid-thicket') {
            return Finding::withCare('keep.thicket-first', 'rulings-J45', $values, 'change.sow-again');
        }

        return match ($injury) {
            'passing' => Finding::withCare('keep.passing-injury', 'rulings-J45', $values, 'change.lessen-injury'),
            'thinning' => Finding::withCare('keep.thinned', 'rulings-J45', $values, 'change.sow-again'),
            'by-form' => Finding::withCare('keep.injury-by-form', 'rulings-J45', $values, 'change.tell-grass-form'),
            default => Finding::doesNotSuit('keep.would-be-taken', 'rulings-J45', $values, 'change.shield-or-wick'),
        };
    }
}
