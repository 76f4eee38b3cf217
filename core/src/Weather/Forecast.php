<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What a service, a file or somebody on site tells of the hours of one place, past and to come. */
final class Forecast
{
    /** Older than this it is told as stale, and never as current (ours). */
    private const FRESH_HOURS = 6;
    /** How far ahead hours are told surely, fairly, roughly (ours). */
    private const SURE_HOURS = 36;
    private const FAIR_HOURS = 96;

    /** @var array<int, WeatherHour> by timestamp, in order */
    private array $hours = [];
    /** @var array<string, Wetness> */
    private array $wetness = [];

    /**
     * @param \DateTimeImmutable $issued when the service worked it out
     * @param string $source who told it: a service, a file, a person
     * @param list<WeatherHour> $hours in any order; of two of one hour the later counts
     * @param int $notBelieved readings that no weather has, left out
     */
    public function __construct(
        public readonly \DateTimeImmutable $issued,
        public readonly string $source,
        array $hours,
        public readonly int $notBelieved = 0,
    ) {
        foreach ($hours as $hour) {
            $this->hours[$hour->at->getTimestamp()] = $hour;
        }
        ksort($this->hours);
    }

    /** This forecast, wherever another one tells something else: hour by hour, value by value. */
    public function corrected(self $by): self
    {
        $hours = $this->hours;
        foreach ($by->hours as $at => $hour) {
            $hours[$at] = isset($hours[$at]) ? $hour->over($hours[$at]) : $hour;
        }

        return new self(
            $this->issued,
            "{$by->source}; {$this->source}",
            array_values($hours),
            $this->notBelieved + $by->notBelieved,
        );
    }

    public function at(\DateTimeImmutable $hour): ?WeatherHour
    {
        return $this->hours[self::begin($hour)] ?? null;
    }

    /** @return list<WeatherHour> from this hour on, as many as are told of so many hours */
    public function following(\DateTimeImmutable $from, int $hours): array
    {
        $told = [];
        for ($i = 0, $at = self::begin($from); $i < $hours; ++$i, $at += 3600) {
            isset($this->hours[$at]) && ($told[] = $this->hours[$at]);
        }

        return $told;
    }

    /** @return list<WeatherHour> before this hour */
    public function before(\DateTimeImmutable $until, int $hours): array
    {
        return $this->following($until->setTimestamp(self::begin($until) - $hours * 3600), $hours);
    }

    /** Rain of so many hours from this one on; null where one is not told: what is missing may be the shower. */
    public function rain(\DateTimeImmutable $from, int $hours): ?Quantity
    {
        return self::sum($this->following($from, $hours), $hours);
    }

    public function rainBefore(\DateTimeImmutable $until, int $hours): ?Quantity
    {
        return self::sum($this->before($until, $hours), $hours);
    }

    public function wetness(Surface $surface): Wetness
    {
        return $this->wetness[$surface->value] ??= Wetness::on($surface, array_values($this->hours));
    }

    public function isStale(\DateTimeImmutable $now): bool
    {
        return $now->getTimestamp() - $this->issued->getTimestamp() > self::FRESH_HOURS * 3600;
    }

    /** sure, fair or rough: how much a telling of this hour is worth. */
    public function surety(\DateTimeImmutable $hour): string
    {
        $ahead = ($hour->getTimestamp() - $this->issued->getTimestamp()) / 3600;

        return $ahead <= self::SURE_HOURS ? 'sure' : ($ahead <= self::FAIR_HOURS ? 'fair' : 'rough');
    }

    public static function begin(\DateTimeImmutable $moment): int
    {
        return intdiv($moment->getTimestamp(), 3600) * 3600;
    }

    /** @param list<WeatherHour> $told */
    private static function sum(array $told, int $hours): ?Quantity
    {
        if (count($told) < $hours) {
            return null;
        }
        $sum = Quantity::zero(Unit::Millimetre);
        foreach ($told as $hour) {
            if ($hour->rain === null) {
                return null;
            }
            $sum = $sum->plus($hour->rain);
        }

        return $sum;
    }
}
