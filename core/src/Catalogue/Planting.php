<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/** What is planted, or sown to stay, where plants were taken out (core/data/plantings.yaml): typical, our guess. */
final readonly class Planting
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** @return list<DaySpan> */
    public function planted(): array
    {
        return array_map(DaySpan::read(...), array_values($this->data->nodes('plant')));
    }

    /** Seed over open ground; null for what is planted one by one. */
    public function rate(): ?Quantity
    {
        return $this->data->quantity('rate');
    }

    /** From plant to plant; null for what is sown. */
    public function apart(): ?Quantity
    {
        return $this->data->quantity('apart');
    }

    /** Whether its roots are those of trees and shrubs. */
    public function isWoody(): bool
    {
        return $this->data->bool('woody');
    }
}
