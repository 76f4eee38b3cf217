<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\StartLimit;
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
        /** Whether it is the hour that runs: what somebody saw or measured counts for it alone. */
        public bool $isPresent = false,
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

    /**
     * What this work is warned of by a limit on the air of this hour and so many after it: the first air that is past
     * it, else the air that comes nearest; null where none is past it and not every hour is told.
     */
    public function airAgainst(StartLimit $limit, int $hoursAfter): ?Quantity
    {
        $nearest = null;
        $isWhole = true;
        for ($i = 0; $i <= $hoursAfter; ++$i) {
            $air = $i === 0 ? $this->weather->air : $this->forecast->at($this->at()->modify("+{$i} hours"))?->air;
            if ($air === null) {
                $isWhole = false;
                continue;
            }
            if (!$limit->allows($air)) {
                return $air;
            }
            $isNearer =
                $nearest === null || ($limit->least ? $air->isLessThan($nearest) : $air->isGreaterThan($nearest));
            $nearest = $isNearer ? $air : $nearest;
        }

        return $isWhole ? $nearest : null;
    }

    /** How surely a reading of this hour is known: measured where somebody did so now, else told by a forecast (J3). */
    public function certainty(?FactName $of = null): Certainty
    {
        $seen = $this->isPresent && $of !== null ? $this->situation->fact($of) : null;

        return $seen->certainty ?? Certainty::Estimated;
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
}
