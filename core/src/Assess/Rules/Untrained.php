<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Finding;

/**
 * Volunteers touch no product, poison, power blade, hatchet or fire (rulings J19, J55); by how the work is done,
 * whatever clearance a method asks. Thin stumps are a split row: adults lop and stack, the crew dabs.
 */
final readonly class Untrained implements Rule
{
    /** Plants that untrained hands keep off. */
    private const HAZARDS = ['poisonous', 'skin-burning-sap', 'irritant-oil'];
    private const NEVER_WORK = ['fire', 'machine', 'injection', 'animals'];
    /** Hand pruning saws and loppers, by adults shown how. */
    private const HAND_CUT_INCHES = 4;
    private const APART_FEET = 10;

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($situation->isYes(FactName::Volunteers) !== true) {
            return [];
        }
        $unsafe = $situation->target?->hasHazard(...self::HAZARDS) === true;
        // without a name it may be any plant that is still in play; where nothing was seen, any at all (J25, J55)
        $unnamed =
            $situation->target === null &&
            ($situation->unnamed === null ||
                $situation->unnamed->couldBeAny ||
                array_intersect(self::HAZARDS, $situation->unnamed->hazards) !== []);
        $clearance = $option->method->clearance();

        return [
            match (true) {
                $unsafe => Finding::notAllowed('volunteer.no-such-plant', 'rulings-J19', [], 'change.trained-people'),
                $unnamed => Finding::notAllowed('volunteer.unnamed', 'rulings-J55', [], 'change.name-it'),
                $this->isSplit($situation, $option) => Finding::withCare('volunteer.split-row', 'rulings-J55', [
                    'apart' => Quantity::of(self::APART_FEET, Unit::Foot),
                ]),
                $option->method->usesProduct() => Finding::notAllowed(
                    'volunteer.no-product',
                    'rulings-J19',
                    [],
                    'change.trained-people',
                ),
                in_array($option->method->work(), self::NEVER_WORK, true),
                $this->wantsABlade($situation, $option)
                    => Finding::notAllowed(
                    'volunteer.no-tool',
                    'rulings-J19',
                    ['tool' => $clearance === 'none' ? $option->method->work() : $clearance],
                    'change.trained-people',
                ),
                $option->method->work() === 'cutting' => Finding::withCare('volunteer.adults-lop', 'rulings-J55'),
                default => Finding::fits('volunteer.hand-work', 'rulings-J19', []),
            },
        ];
    }

    /** What asks for a trained blade: any clearance, and woody stems too thick for loppers. */
    private function wantsABlade(Situation $situation, Option $option): bool
    {
        $cutsWood = $option->method->work() === 'cutting' && $situation->target?->isWoody() === true;

        return ($option->method->clearance() !== 'none' || $cutsWood) && !$this->byHand($situation, $option);
    }

    /** Stumps thin enough for loppers: the cutting is theirs, the product is not. */
    private function isSplit(Situation $situation, Option $option): bool
    {
        return $option->goesOn('stump') && $this->byHand($situation, $option);
    }

    /** Loppers and hand pruning saws do it: tools without a power blade, stems under 4 in. */
    private function byHand(Situation $situation, Option $option): bool
    {
        if ($option->method->work() !== 'cutting' || !$option->method->worksByHand() || $situation->stems === []) {
            return false;
        }

        return array_filter(
            $situation->stems,
            static fn(StemGroup $g): bool => !$g
                ->forCeilings()
                ->isLessThan(Quantity::of(self::HAND_CUT_INCHES, Unit::Inch)),
        ) === [];
    }
}
