<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** What one job takes: people, kit, mix and money. */
final readonly class Needs
{
    /**
     * More than six: one line of a job's bill, item by item.
     *
     * @param int|null $minutes of one person's work in all; null where nobody can reckon it yet
     * @param int $hands people who must be there at the same time
     * @param list<string> $everyone clearances that each of them must have
     * @param list<string> $lead clearances of which one of them must have all
     * @param list<string> $kit kinds of equipment, one of each
     * @param string $product what goes through the kit; a unit carries one product a day
     * @param int|null $litres of mix in all, rounded up; null where nobody can reckon it
     * @param int|null $money in the smallest coin; null where nobody knows a price
     * @param list<string> $tools kinds of hand tools and machines, one of each; nothing goes through them
     */
    public function __construct(
        public ?int $minutes,
        public int $hands = 1,
        public array $everyone = [],
        public array $lead = [],
        public array $kit = [],
        public string $product = '',
        public ?int $litres = 0,
        public ?int $money = 0,
        public array $tools = [],
    ) {}

    /** @return array<string, string> what its lead carries, with the product that goes through it */
    public function carried(): array
    {
        return array_fill_keys($this->kit, $this->product) + array_fill_keys($this->tools, '');
    }

    /** The same with minutes that somebody told. */
    public function taking(int $minutes): self
    {
        return new self(
            $minutes,
            $this->hands,
            $this->everyone,
            $this->lead,
            $this->kit,
            $this->product,
            $this->litres,
            $this->money,
            $this->tools,
        );
    }

    /** Litres for so many minutes of the work, rounded up. */
    public function litresFor(int $minutes): int
    {
        return $this->minutes === null || $this->litres === null || $this->litres <= 0
            ? 0
            : intdiv($this->litres * $minutes + $this->minutes - 1, $this->minutes);
    }
}
