<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Thicket\Knowledge\Catalogue;
use Thicket\Mix\Active;
use Thicket\Mix\LabelCard;

/** One row of the board before it is judged: a method, with product where it uses one, as this crew would do it. */
final readonly class Candidate
{
    public function __construct(
        public Method $method,
        public ?Active $active,
        public ?LabelCard $card,
        public Schools $schools,
        public Shed $shed,
        public Catalogue $catalogue,
    ) {
    }

    public function id(): string
    {
        return implode('/', array_filter([$this->method->id(), $this->active?->id(), $this->card?->id]));
    }

    public function is(string ...$methodIds): bool
    {
        return in_array($this->method->id(), $methodIds, true);
    }

    public function carrier(): ?string
    {
        return $this->active?->typicalCarrier($this->method->id());
    }

    public function isSoilActive(): bool
    {
        return ($this->active?->isSoilActive() ?? false) || ($this->card !== null && $this->card->soilActive);
    }

    public function with(Schools $schools): self
    {
        return new self($this->method, $this->active, $this->card, $schools, $this->shed, $this->catalogue);
    }
}
