<?php

declare(strict_types=1);

namespace Thicket\Label;

/** Where and how the product may be used, and how much of it. */
final readonly class Directions
{
    /**
     * @param list<CardUse> $uses in the order of the label; several of one method are parted by growth stage or dates
     * @param list<string> $sites
     * @param list<string> $carriers {@see \Thicket\Catalogue\Carrier::ALL}
     * @param non-empty-list<LabelLimit> $ceilings the first holds for all sites, each further one for its own
     */
    public function __construct(
        public array $uses,
        public array $sites,
        public array $carriers,
        public array $ceilings,
        public PlantsNamed $plants,
        public SoilWork $soil,
    ) {}
}
