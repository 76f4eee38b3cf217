<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Verdict\Certainty;

/** One thing known about the ground, with when and how surely (model.md "Facts for the engine"). */
final readonly class Fact
{
    public function __construct(
        public FactName $name,
        public Quantity|\DateTimeImmutable|string|bool $value,
        /** When it was seen or measured; null for facts that do not age. */
        public ?\DateTimeImmutable $at,
        public Certainty $certainty,
        /** Who or what said so, for the screen. */
        public string $source = 'observation',
    ) {}

    public function isFresh(\DateTimeImmutable $now, bool $annual): bool
    {
        $hours = $this->name->holdsHours($annual);

        return $hours === null ||
            $this->at === null ||
            ($now->getTimestamp() - $this->at->getTimestamp() <= $hours * 3600 && $this->at <= $now);
    }

    /** Surer first; within one certainty the newer (rulings B24). */
    public function beats(self $other): bool
    {
        $order = array_flip(array_map(static fn(Certainty $c): string => $c->value, Certainty::cases()));
        $mine = $order[$this->certainty->value];
        $theirs = $order[$other->certainty->value];

        return $mine !== $theirs
            ? $mine < $theirs
            : ($this->at?->getTimestamp() ?? PHP_INT_MIN) >= ($other->at?->getTimestamp() ?? PHP_INT_MIN);
    }
}
