<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;

/**
 * Watering in as the cards of one tank ask it: how deep, on which ground, from when and until when after spraying
 * (handbook 3 small sums, 4; rulings J33: what works through the leaf has to dry first).
 */
final readonly class Watering
{
    /**
     * @param Quantity|null $depth the deepest that any card asks; null where none says
     * @param Quantity|null $volume on the treated ground; null where depth or ground is not known
     * @param int $afterMinutes earliest by the cards, 0 where they name none
     * @param int|null $withinHours latest; null where the cards do not say
     * @param int|null $dryHours that a leaf product of the same tank wants to stay dry; null where its card does not
     *     say
     */
    private function __construct(
        public ?Quantity $depth,
        public ?Quantity $volume,
        public int $afterMinutes,
        public ?int $withinHours,
        public ?int $dryHours,
    ) {}

    /**
     * @param list<Option> $products of one tank
     *
     * @return self|null null where no card asks for water
     */
    public static function of(array $products, ?Quantity $ground): ?self
    {
        $watered = array_filter(
            $products,
            static fn(Option $one): bool => $one->card?->directions->soil->isWateredIn() === true,
        );
        if ($watered === []) {
            return null;
        }
        $depth = null;
        foreach ($products as $one) {
            $its = $one->card?->directions->soil->waterInDepth;
            $depth = $its !== null && ($depth === null || $its->isGreaterThan($depth)) ? $its : $depth;
        }
        $cards = array_filter(array_map(static fn(Option $one): ?LabelCard => $one->card, $products));
        $within = array_filter(
            array_map(static fn(LabelCard $card): ?int => $card->directions->soil->waterInHours, $cards),
            is_int(...),
        );
        $after = array_filter(
            array_map(static fn(LabelCard $card): ?int => $card->directions->soil->waterInAfterMinutes, $cards),
            is_int(...),
        );
        // what works through the soil alone has no leaf to dry on
        $leaf = array_filter(
            $products,
            static fn(Option $one): bool => $one->goesOn('leaf') && !in_array($one, $watered, true),
        );
        $dry = array_map(static fn(Option $one): ?int => $one->card?->start->rainfastHours, $leaf);

        return new self(
            $depth,
            $depth === null || $ground === null ? null : Layer::volume($ground, $depth),
            $after === [] ? 0 : max($after),
            $within === [] ? null : min($within),
            $dry === [] ? 0 : (in_array(null, $dry, true) ? null : max($dry)),
        );
    }

    /** From when on it may be watered in; null where that cannot be told. */
    public function earliest(): ?Quantity
    {
        return match (true) {
            $this->dryHours === null => null,
            $this->dryHours * 60 >= $this->afterMinutes => Quantity::of($this->dryHours, Unit::Hour),
            default => Quantity::of($this->afterMinutes, Unit::Minute),
        };
    }

    /** Until when it has to be; null where the cards do not say. */
    public function latest(): ?Quantity
    {
        return $this->withinHours === null ? null : Quantity::of($this->withinHours, Unit::Hour);
    }

    /** Whether it would have to be wet before it may be. */
    public function collides(): bool
    {
        return $this->withinHours !== null &&
            $this->dryHours !== null &&
            max($this->dryHours * 60, $this->afterMinutes) > $this->withinHours * 60;
    }
}
