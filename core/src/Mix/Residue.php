<?php

declare(strict_types=1);

namespace Thicket\Mix;

/**
 * What a sprayer last held and nobody noted to have been washed out of it. Two fillings of the same products in the
 * same carrier are of one kind (rulings J10); whatever else goes in after it meets what is left of it (rulings J64).
 */
final readonly class Residue
{
    /**
     * @param list<string> $cards ids of the label cards that were in the tank
     * @param string $carrier water, oil or another
     * @param string $told names of the products
     * @param \DateTimeImmutable $day it was filled
     */
    public function __construct(
        public array $cards,
        public string $carrier,
        public string $told,
        public \DateTimeImmutable $day,
    ) {}

    /** @param list<string> $cards */
    public function isOf(array $cards, string $carrier): bool
    {
        return $carrier === $this->carrier &&
            array_diff($cards, $this->cards) === [] &&
            array_diff($this->cards, $cards) === [];
    }
}
