<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Thicket\Knowledge\Catalogue;
use Thicket\Mix\Active;
use Thicket\Mix\CardUse;
use Thicket\Mix\LabelCard;

/** One row of the board before it is judged: a method, with product where it uses one, as this crew would do it. */
final readonly class Candidate
{
    /** Step of a poisonous product left to licensed users (handbook 9). */
    private const HARM_LICENSED = 5;

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
        return $this->active?->typicalCarrier($this->method->id()) ?? $this->active?->typicalCarrier($this->method->like());
    }

    /** Whether the product is put on one of these: bark, wood, stump, leaf, soil. */
    public function goesOn(string ...$parts): bool
    {
        return in_array($this->method->onto(), $parts, true);
    }

    /** Drops in the air over leaves: what drifts, wants green dry leaves and mild weather. */
    public function isLeafSpray(): bool
    {
        return $this->goesOn('leaf') && $this->method->work() === 'spray';
    }

    /** The use as the card lists it: by its own name, or by that of the method it is a form of. */
    public function cardUse(): string
    {
        $own = $this->method->id();

        return $this->card !== null && !$this->card->allowsMethod($own) && $this->card->allowsMethod($this->method->like()) ? $this->method->like() : $own;
    }

    /**
     * The line of the card that holds for this use on the day. Only a stage that somebody saw picks one for a stage: an estimate from the
     * calendar must not open a more generous line. Null without a card, or where the card does not list the use, or not then.
     */
    public function lineOfCard(Situation $situation): ?CardUse
    {
        return $this->card?->use($this->cardUse(), $situation->stageSeen(), $situation->day);
    }

    public function typicalStrength(): ?\Thicket\Measure\Quantity
    {
        return $this->active?->typicalStrength($this->method->id()) ?? $this->active?->typicalStrength($this->method->like());
    }

    /** 1 least to 5 most: the active's for this use or the use it is a form of, else the method's own, else the middle. */
    public function harm(): int
    {
        if ($this->active?->isLicensedOnly() === true) {
            return self::HARM_LICENSED;
        }
        $product = $this->active?->harm($this->method->id()) ?? $this->active?->harm($this->method->like());

        return $product ?? ($this->method->data->has('harm') ? $this->method->data->int('harm') : ($this->method->isOfArea() ? 4 : 3));
    }

    public function isSoilActive(): bool
    {
        return ($this->active?->isSoilActive() ?? false) || ($this->card !== null && $this->card->soilActive);
    }

    /** The table of coefficients with the crew's own figures in it. */
    public function coefficients(): \Thicket\Knowledge\Node
    {
        return $this->shed->figures?->over($this->catalogue->coefficients()) ?? $this->catalogue->coefficients();
    }

    public function with(Schools $schools): self
    {
        return new self($this->method, $this->active, $this->card, $schools, $this->shed, $this->catalogue);
    }
}
