<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Thicket\Measure\Quantity;

/** The sky and the ground over one hour; null where nobody tells. Wind and gust are of 10 m above the ground. */
final readonly class WeatherHour
{
    /**
     * More than six: what a weather service tells of an hour, value by value.
     *
     * @param \DateTimeImmutable $at begin of the hour, UTC
     * @param float|null $humidity percent
     * @param float|null $windFrom degrees clockwise from north
     * @param Quantity|null $rain depth of water fallen in the hour
     * @param float|null $rainChance percent
     * @param float|null $cloud percent of the sky
     * @param Quantity|null $soil at 30 cm (1 ft)
     * @param Quantity|null $topsoil at 5 cm (2 in)
     */
    public function __construct(
        public \DateTimeImmutable $at,
        public ?Quantity $air = null,
        public ?float $humidity = null,
        public ?Quantity $wind = null,
        public ?Quantity $gust = null,
        public ?float $windFrom = null,
        public ?Quantity $rain = null,
        public ?float $rainChance = null,
        public ?float $cloud = null,
        public ?Quantity $snow = null,
        public ?Quantity $soil = null,
        public ?Quantity $topsoil = null,
    ) {}

    /** What is told here, and of the same hour what only the other one tells. */
    public function over(self $other): self
    {
        return new self(
            $this->at,
            $this->air ?? $other->air,
            $this->humidity ?? $other->humidity,
            $this->wind ?? $other->wind,
            $this->gust ?? $other->gust,
            $this->windFrom ?? $other->windFrom,
            $this->rain ?? $other->rain,
            $this->rainChance ?? $other->rainChance,
            $this->cloud ?? $other->cloud,
            $this->snow ?? $other->snow,
            $this->soil ?? $other->soil,
            $this->topsoil ?? $other->topsoil,
        );
    }
}
