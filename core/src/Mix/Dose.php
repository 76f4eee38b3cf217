<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/** How much of one product goes into a finished mix, and why. */
final readonly class Dose
{
    /**
     * @param Strength|null $strength share of the finished mix; null for a dry product and where it cannot be told
     * @param string $why code of the reason
     * @param Quantity|null $rate product per area, where it is given so
     * @param list<string> $missing facts without which it cannot be told
     * @param list<string> $blocks codes of what forbids it
     * @param Strength|null $most strongest that the card allows
     */
    public function __construct(
        public ?Strength $strength,
        public string $why,
        public ?Quantity $rate = null,
        public array $missing = [],
        public array $blocks = [],
        public ?Strength $most = null,
    ) {}

    /**
     * The component of a finished mix; null where nothing is known of it.
     *
     * @param string $role place in the loading order of a fluid; a weighed product goes in as dry
     * @param Quantity|null $spray mix per area, by which a rate becomes a share
     */
    public function component(string $name, string $role, ?Quantity $spray): ?Component
    {
        if ($this->rate === null) {
            return $this->strength === null ? null : new Component($name, $role, $this->strength);
        }
        if ($spray === null) {
            return null;
        }
        $perLitre =
            $this->rate->dimension() === Dimension::MassPerArea
                ? new Component(
                    $name,
                    'dry-flowable',
                    null,
                    Quantity::of(
                        $this->rate->in(Unit::GramPerHectare)->dividedBy($spray->in(Unit::LitrePerHectare)),
                        Unit::GramPerLitre,
                    ),
                )
                : null;

        return $perLitre ?? new Component($name, $role, $this->share($spray));
    }

    /** Share of the finished mix that a liquid rate comes to; null of a dry product. */
    public function share(Quantity $spray): ?Strength
    {
        return $this->rate === null || $this->rate->dimension() === Dimension::MassPerArea
            ? $this->strength
            : Strength::ofQuantity(
                Quantity::of(
                    $this->rate
                        ->in(Unit::LitrePerHectare)
                        ->dividedBy($spray->in(Unit::LitrePerHectare))
                        ->multipliedBy(100),
                    Unit::PercentProduct,
                ),
            );
    }
}
