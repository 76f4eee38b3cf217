<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Mix\Component;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/** What somebody means to mix: product, carrier, what else goes in, and what it is made in and with. */
final readonly class MixPlan
{
    public const WATERS = ['clear', 'hard', 'muddy'];
    public const MATERIALS = ['plastic', 'stainless', 'lined', 'galvanised', 'steel'];

    /** @var list<Component> besides product and carrier */
    public array $extras;
    public ?string $water;
    public ?string $material;
    public ?bool $solventProof;
    public bool $firstTime;
    public bool $firstTogether;
    public bool $fuelOilLawful;
    public ?bool $additivesForWater;
    /** Temperature measured within the hour. */
    public ?Quantity $air;
    /** @var list<Option> further products of the same tank */
    public array $partners;

    /** @param Option $option with its partners */
    public function __construct(
        public Situation $situation,
        public Option $option,
        public string $carrier,
        Additions $additions = new Additions(),
        TankAsked $tank = new TankAsked(),
        CrewPractice $crew = new CrewPractice(),
    ) {
        $this->extras = $additions->extras;
        $this->additivesForWater = $additions->forWater;
        [$this->water, $this->material, $this->solventProof] = [$tank->water, $tank->material, $tank->solventProof];
        $this->firstTime = $crew->firstTime;
        $this->firstTogether = $crew->firstTogether;
        $this->fuelOilLawful = $crew->fuelOilLawful;
        $this->air = $situation->quantity(FactName::AirTemperature);
        $this->partners = $option->partners;
    }

    public function has(string $role): bool
    {
        return in_array($role, array_map(static fn(Component $c): string => $c->role, $this->extras), true);
    }

    /** Whether any product of the tank wants this minded. */
    public function mind(string $caution): bool
    {
        return $this->any(static fn(Option $one): bool => in_array($caution, $one->active?->cautions() ?? [], true));
    }

    /** @return non-empty-list<Option> every product of the tank: the strictest decides (rulings J16) */
    public function products(): array
    {
        return [$this->option, ...$this->partners];
    }

    /** @param \Closure(Option): bool $holds */
    public function any(\Closure $holds): bool
    {
        return array_filter($this->products(), $holds) !== [];
    }
}
