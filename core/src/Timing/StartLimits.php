<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;

/**
 * Weather limits under which a product may be used, as data: the stricter of the label card and our typical values
 * (rulings J3). They are compared with what somebody measures on the spot, on the board and again at the start.
 */
final readonly class StartLimits
{
    /** Below this air at the nozzle a foliar spray takes care: dead calm may be an inversion. */
    private const CALM_METRES_PER_SECOND = '1';

    /** @param list<StartLimit> $limits */
    private function __construct(public array $limits) {}

    /** @param Species|null $target winter work on rosettes and evergreen vines has its own lower limit (rulings J12) */
    public static function for(Option $option, ?Species $target = null): self
    {
        if (!$option->method->usesProduct()) {
            return new self([]);
        }
        $card = $option->card;
        $foliar = $option->isLeafSpray();
        $limits = [
            self::stricter(
                FactName::WindSpeed,
                false,
                $foliar ? Quantity::of('4.5', Unit::MetrePerSecond) : null,
                $foliar ? $card?->start->windMost : null,
            ),
            self::coldest($option, $target),
            // vapour of volatile forms moves after basal and stump work too (rulings J3)
            self::stricter(
                FactName::AirTemperature,
                false,
                $foliar || $option->anyActive(static fn(Active $a): bool => $a->isVolatile())
                    ? Quantity::of(85, Unit::Fahrenheit)
                    : null,
                $card?->start->hottest,
            ),
        ];

        return new self(array_values(array_filter($limits)));
    }

    /**
     * The strictest of every product of a tank (rulings J16).
     *
     * @param list<Option> $products
     */
    public static function ofTank(array $products, ?Species $target = null): self
    {
        $strictest = [];
        foreach ($products as $one) {
            foreach (self::for($one, $target)->limits as $limit) {
                $held = $strictest[$limit->code()] ?? null;
                $strictest[$limit->code()] = $held === null || !$limit->allows($held->value) ? $limit : $held;
            }
        }

        return new self(array_values($strictest));
    }

    /** The lower or the upper limit of a fact; null where there is none. */
    public function of(FactName $fact, bool $least): ?StartLimit
    {
        foreach ($this->limits as $limit) {
            if ($limit->fact === $fact && $limit->least === $least) {
                return $limit;
            }
        }

        return null;
    }

    /** Leaf sprays of mild winter days have their own lower limit, which holds for six hours after, too (J12). */
    public static function isWinterWork(Option $option, ?Species $target): bool
    {
        return $option->isLeafSpray() && in_array($target?->treatmentClass(), ['biennial', 'evergreen-vine'], true);
    }

    public static function calm(): Quantity
    {
        return Quantity::of(self::CALM_METRES_PER_SECOND, Unit::MetrePerSecond);
    }

    /** Leaf spray from 10 C; rosettes and evergreen vines from the card's temperature, 5 C where it is silent. */
    private static function coldest(Option $option, ?Species $target): ?StartLimit
    {
        $card = $option->card?->start->coldest;
        if (!$option->isLeafSpray()) {
            return self::stricter(FactName::AirTemperature, true, null, $card);
        }
        if (self::isWinterWork($option, $target)) {
            return $card !== null
                ? new StartLimit(FactName::AirTemperature, true, $card, 'label-card')
                : new StartLimit(FactName::AirTemperature, true, Quantity::of(5, Unit::Celsius), 'rulings-J12');
        }

        return self::stricter(FactName::AirTemperature, true, Quantity::of(10, Unit::Celsius), $card);
    }

    /** @param bool $least true for a lower limit, false for an upper one */
    private static function stricter(FactName $fact, bool $least, ?Quantity $typical, ?Quantity $card): ?StartLimit
    {
        if ($card === null) {
            return $typical === null ? null : new StartLimit($fact, $least, $typical, 'rulings-J3');
        }
        $typicalIsStricter =
            $typical !== null && ($least ? $typical->isGreaterThan($card) : $typical->isLessThan($card));

        return $typicalIsStricter
            ? new StartLimit($fact, $least, $typical, 'rulings-J3')
            : new StartLimit($fact, $least, $card, 'label-card');
    }
}
