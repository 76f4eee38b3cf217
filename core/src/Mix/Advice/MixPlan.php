<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Measure\Quantity;
use Thicket\Mix\Component;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;

/** What somebody means to mix: product, carrier, what else goes in, and what it is made in and with. */
final readonly class MixPlan
{
    public const WATERS = ['clear', 'hard', 'muddy'];
    public const MATERIALS = ['plastic', 'stainless', 'lined', 'galvanised', 'steel'];

    /**
     * @param list<Component> $extras besides product and carrier
     * @param string|null $water clear, hard or muddy; null where nobody looked
     * @param string|null $material of the tank, one of MATERIALS; null where it is not known
     * @param bool|null $solventProof whether its seals stand oil; null where it is not known
     * @param bool $firstTime whether this crew has no signed work with this product yet
     * @param Quantity|null $air temperature measured within the hour
     * @param list<Candidate> $partners further products of the same tank
     * @param bool $fuelOilLawful whether the crew has noted that fuel oil may be a carrier here (rulings J18)
     * @param bool|null $additivesForWater whether what else goes in is permitted for water; null where nobody read it
     * @param bool $firstTogether whether this crew has not mixed these products together yet
     */
    public function __construct(
        public Situation $situation,
        public Candidate $candidate,
        public string $carrier,
        public array $extras = [],
        public ?string $water = null,
        public ?string $material = null,
        public ?bool $solventProof = null,
        public bool $firstTime = false,
        public ?Quantity $air = null,
        public array $partners = [],
        public bool $firstTogether = false,
        public bool $fuelOilLawful = false,
        public ?bool $additivesForWater = null,
    ) {}

    public function has(string $role): bool
    {
        return in_array($role, array_map(static fn(Component $c): string => $c->role, $this->extras), true);
    }

    /** Whether any product of the tank wants this minded. */
    public function mind(string $caution): bool
    {
        return $this->any(static fn(Candidate $one): bool => in_array($caution, $one->active?->cautions() ?? [], true));
    }

    /** @return non-empty-list<Candidate> every product of the tank: the strictest decides (rulings J16) */
    public function products(): array
    {
        return [$this->candidate, ...$this->partners];
    }

    /** @param \Closure(Candidate): bool $holds */
    public function any(\Closure $holds): bool
    {
        return array_filter($this->products(), $holds) !== [];
    }
}
