<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Calendar\MonthDay;
use Thicket\Measure\Quantity;

/** A kind of cover sown after a removal or between rows (handbook 2 "Cover crop"). */
final readonly class Cover
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** Seed over open ground, typical, our guess: the bag rules. */
    public function rate(): Quantity
    {
        return $this->data->quantity('rate') ?? throw new \LogicException('a kind of cover has a rate');
    }

    /** @return list<DaySpan> when it is sown */
    public function sown(): array
    {
        return array_map(DaySpan::read(...), array_values($this->data->nodes('sow')));
    }

    /** @return list<string> how it is ended */
    public function ends(): array
    {
        return $this->data->strings('ends');
    }

    public function basis(): string
    {
        return $this->data->string('basis');
    }

    /** @return MonthDay|null till when it is kept, where it is then ended */
    public function standsUntil(): ?MonthDay
    {
        return $this->data->has('standsUntil') ? MonthDay::parse($this->data->string('standsUntil')) : null;
    }
}
