<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Catalogue\Carrier;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Exception\Unmixable;

/**
 * Finished volume and strengths to amounts (handbook 3, sum 1). Product is inside the total: 15 % of 3 gal is
 * 57.6 fl oz of product and 326.4 fl oz of oil. Exact; rounding happens when it is measured or shown.
 */
final readonly class FinishedMix
{
    /**
     * @param list<array{component: Component, amount: Quantity|null}> $parts in loading order; null where the strength
     *     is missing
     * @param Quantity|null $carrierAmount null while a strength is missing
     * @param list<string> $missing names of components without a strength
     */
    private function __construct(
        public Quantity $finished,
        public string $carrier,
        public array $parts,
        public ?Quantity $carrierAmount,
        public array $missing,
        /**
         * Carrier to put in before anything else: half the tank with water; none with oil, where product goes in first.
         */
        public Quantity $carrierFirst,
    ) {}

    /**
     * @param list<Component> $components
     * @param string $carrier one of {@see Carrier::ALL}
     *
     * @throws Unmixable when the parts are more than the whole, or oil-plus-emulsifier meets surfactant
     */
    public static function of(Quantity $finished, string $carrier, array $components): self
    {
        $finished->mustMatch(Dimension::Volume);
        $roles = array_map(static fn(Component $c): string => $c->role, $components);
        if (in_array('surfactant', $roles, true) && in_array('emulsifier', $roles, true)) {
            throw Unmixable::emulsifierWithSurfactant();
        }
        usort($components, static fn(Component $a, Component $b): int => $a->order() <=> $b->order());
        if (in_array('oil', $roles, true) && $carrier === 'water' && !in_array('emulsifier', $roles, true)) {
            $components[] = new Component('emulsifier', 'emulsifier', null);
        }
        $share = BigRational::zero();
        $parts = [];
        $missing = [];
        foreach ($components as $component) {
            if ($component->dry !== null) {
                $parts[] = [
                    'component' => $component,
                    'amount' => Quantity::of(
                        $component->dry->in(Unit::GramPerLitre)->multipliedBy($finished->in(Unit::Litre)),
                        Unit::Gram,
                    ),
                ];
                continue;
            }
            if ($component->strength === null) {
                $missing[] = $component->name;
                $parts[] = ['component' => $component, 'amount' => null];
                continue;
            }
            $share = $share->plus($component->strength->share);
            $parts[] = ['component' => $component, 'amount' => $component->strength->productIn($finished)];
        }
        if ($share->isGreaterThan(1)) {
            throw Unmixable::moreThanTheWhole(Quantity::of($share->multipliedBy(100), Unit::PercentProduct));
        }
        $rest = $finished->times(BigRational::one()->minus($share));
        $half = $finished->dividedBy(2);

        return new self(
            $finished,
            $carrier,
            $parts,
            $missing === [] ? $rest : null,
            $missing,
            $carrier === 'water' ? ($half->isGreaterThan($rest) ? $rest : $half) : Quantity::zero($finished->unit),
        );
    }

    public function amountOf(string $name): ?Quantity
    {
        foreach ($this->parts as $part) {
            if ($part['component']->name === $name) {
                return $part['amount'];
            }
        }

        return null;
    }

    /** The same mix in another volume: the last part-load, or what a person carries. */
    public function inVolume(Quantity $finished): self
    {
        return self::of(
            $finished,
            $this->carrier,
            array_map(static fn(array $part): Component => $part['component'], $this->parts),
        );
    }

    /**
     * What to put in, in order; the last step tops up with carrier to the mark.
     *
     * @return list<array{what: string, amount: Quantity|null}>
     */
    public function loadingOrder(): array
    {
        $steps = [];
        if (!$this->carrierFirst->isZero()) {
            $steps[] = ['what' => $this->carrier, 'amount' => $this->carrierFirst];
        }
        foreach ($this->parts as $part) {
            $steps[] = ['what' => $part['component']->name, 'amount' => $part['amount']];
        }
        $rest = $this->carrierAmount?->minus($this->carrierFirst);
        // a half-and-half mix has all its carrier in already
        if ($rest === null || !$rest->isZero()) {
            $steps[] = ['what' => "{$this->carrier}-to-mark", 'amount' => $rest];
        }

        return $steps;
    }
}
