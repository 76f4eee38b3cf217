<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\StartLimits;
use Thicket\Verdict\Certainty;
use Thicket\Weather\Forecast;
use Thicket\Weather\Sun;
use Thicket\Weather\WeatherHour;

/** One hour in which a chosen way of working might be done: the work, the ground and the sky. */
final readonly class WorkHour
{
    public Option $option;

    /**
     * More than six: the work, its limits, the ground and the sky of one hour; each rule reads another few of them.
     *
     * @param non-empty-list<Option> $tank all that goes into it, the leading product first; of work without a product
     *     the one option
     * @param Situation $situation of the ground's day of this hour
     */
    public function __construct(
        public Situation $situation,
        public array $tank,
        public StartLimits $limits,
        public WeatherHour $weather,
        public Forecast $forecast,
        public Place $place,
        public Sun $sun,
    ) {
        $this->option = $tank[0];
    }

    public function at(): \DateTimeImmutable
    {
        return $this->weather->at;
    }

    /** The middle of the hour. */
    public function middle(): \DateTimeImmutable
    {
        return $this->at()->modify('+30 minutes');
    }

    public function isSpray(): bool
    {
        return $this->option->method->work() === 'spray';
    }

    /** Warmest air of this hour and so many after it; null where more than a tenth is not told. */
    public function warmest(int $hoursAfter): ?Quantity
    {
        return $this->extreme($hoursAfter, 1);
    }

    public function coldest(int $hoursAfter): ?Quantity
    {
        return $this->extreme($hoursAfter, -1);
    }

    /** A forecast is no measurement: what rests on it is estimated (rulings J3). */
    public function certainty(): Certainty
    {
        return Certainty::Estimated;
    }

    /** Hours without rain that the products of the tank ask for: the most; null where a card is silent or missing. */
    public function rainfastHours(): ?int
    {
        $most = 0;
        foreach ($this->tank as $one) {
            $hours = $one->card?->start->rainfastHours;
            if ($hours === null) {
                return null;
            }
            $most = max($most, $hours);
        }

        return $most;
    }

    private function extreme(int $hoursAfter, int $sign): ?Quantity
    {
        $found = null;
        $known = 0;
        foreach ($this->forecast->following($this->at(), $hoursAfter + 1) as $hour) {
            if ($hour->air === null) {
                continue;
            }
            ++$known;
            $found = $found === null || $hour->air->compareTo($found) === $sign ? $hour->air : $found;
        }

        return $known * 10 < ($hoursAfter + 1) * 9 ? null : $found;
    }

    public static function degrees(float $celsius): Quantity
    {
        return Quantity::of(sprintf('%.2F', $celsius), Unit::Celsius);
    }
}
