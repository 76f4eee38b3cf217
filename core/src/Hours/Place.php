<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Calendar\Day;
use Thicket\Weather\Sun;

/** Where the work is: for the sun, the pressure of the air and the day on the calendar. */
final readonly class Place
{
    public function __construct(
        public float $latitude,
        public float $longitude,
        public float $elevationMetres,
        public \DateTimeZone $zone,
    ) {}

    /** The ground's calendar day of a moment. */
    public function dayOf(\DateTimeImmutable $moment): \DateTimeImmutable
    {
        return Day::parse($moment->setTimezone($this->zone)->format('Y-m-d'));
    }

    public function sunOn(\DateTimeImmutable $day): Sun
    {
        return Sun::on($day, $this->latitude, $this->longitude);
    }
}
