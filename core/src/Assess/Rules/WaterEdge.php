<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Product and water (rulings J15, J52), each card of the tank: inside its buffer only with aquatic permission; oil
 * never within 10 m or on ground that floods unless the card names that; a permit, carrier, surfactant and dye are
 * asked even where water use is ticked.
 */
final readonly class WaterEdge implements Rule
{
    private const CLOSE_METRES = 10;
    private const SOURCE = 'rulings-J52';

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($option->how('mow') && $situation->target?->treatmentClass() === 'knotweed') {
            return [Finding::doesNotSuit('water.knotweed-never-mown', 'rulings-J12', [], 'change.dig-or-spray')];
        }
        if (!$option->method->usesProduct()) {
            return [];
        }
        $distance = self::distance($situation);
        if ($distance === null) {
            return $situation->word(FactName::Setting) === 'water-edge'
                ? [Finding::unknown('water-distance', self::SOURCE, true)]
                : [];
        }
        $near = !$distance->isGreaterThan(Quantity::of(Situation::NEAR_WATER, Unit::Metre));
        $close = $distance->isLessThan(Quantity::of(self::CLOSE_METRES, Unit::Metre));
        if (
            !$near &&
            array_filter(
                $option->cards(),
                static fn(LabelCard $c): bool => $c->start->waterBuffer?->isGreaterThan($distance) === true,
            ) === []
        ) {
            $buffer = $option->card?->start->waterBuffer;

            return $buffer === null
                ? []
                : [Finding::fits('water.outside-buffer', 'label-card', ['distance' => $distance, 'buffer' => $buffer])];
        }
        $findings = [];
        foreach ($option->cards() === [] ? [null] : $option->cards() as $card) {
            $findings = [...$findings, ...$this->ofCard($option, $card, $distance, $near, $close)];
        }

        return $findings;
    }

    /** Whether a card that may be used in water is used so near to it that a permit is asked (rulings J15, J52). */
    public static function wantsPermit(Situation $situation, Option $option): bool
    {
        $distance = $option->method->usesProduct() ? self::distance($situation) : null;

        return $distance !== null &&
            array_filter(
                $option->cards(),
                static fn(LabelCard $c): bool => $c->start->aquaticAllowed && self::isInside($c, $distance),
            ) !== [];
    }

    /** Ground that floods is water. */
    private static function distance(Situation $situation): ?Quantity
    {
        return $situation->isYes(FactName::Floods) === true ? Quantity::zero(Unit::Metre) : $situation->waterDistance();
    }

    private static function isInside(LabelCard $card, Quantity $distance): bool
    {
        return $distance->isLessThan(Quantity::of(self::CLOSE_METRES, Unit::Metre)) ||
            $card->start->waterBuffer?->isGreaterThan($distance) === true;
    }

    /** @return list<Finding> */
    private function ofCard(Option $option, ?LabelCard $card, Quantity $distance, bool $near, bool $close): array
    {
        $values = ['distance' => $distance];
        $oil = $option->carrier() === 'oil' || $card?->contents->formulation === 'oil-soluble-ester';
        if ($oil && $close) {
            return [
                $card?->details?->seasonallyDry() === true
                    ? Finding::withCare('water.dry-ground-oil', self::SOURCE, $values)
                    : Finding::notAllowed('water.oil-near', self::SOURCE, $values, 'change.water-borne-aquatic'),
            ];
        }
        if ($card === null) {
            return $near ? [Finding::unknown('card-water-buffer', self::SOURCE, true)] : [];
        }
        $buffer = $card->start->waterBuffer;
        if ($card->start->aquaticAllowed) {
            return self::isInside($card, $distance) ? [Finding::withCare('water.permit', self::SOURCE, $values)] : [];
        }
        if ($buffer === null) {
            return $near ? [Finding::unknown('card-water-buffer', 'label-card', true)] : [];
        }
        $values += ['buffer' => $buffer];

        return [
            match (true) {
                $distance->isLessThan($buffer) => Finding::notAllowed(
                    'water.inside-buffer',
                    'label-card',
                    $values,
                    'change.aquatic-card',
                ),
                $close => Finding::withCare('water.close', self::SOURCE, $values),
                default => Finding::fits('water.outside-buffer', 'label-card', $values),
            },
        ];
    }
}
