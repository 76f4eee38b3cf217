<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** How much mix is wanted, in what, with what else, out of which tank. */
final readonly class MixWanted
{
    /**
     * @param Quantity|null $need of the whole job; null where it cannot be reckoned
     * @param list<Component> $extras additives, by their role
     * @param Quantity|null $tank null where nothing is filled
     */
    public function __construct(
        public ?Quantity $need,
        public string $carrier,
        public array $extras,
        public ?Quantity $tank,
    ) {}
}
