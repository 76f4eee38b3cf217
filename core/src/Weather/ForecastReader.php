<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Brick\Math\BigDecimal;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Reads what a weather service answers (docs/hours.md has the shape): SI units, an hour an entry. A value that no
 * weather has is left out and counted, since one bad sensor must not take the day; an answer whose clock is off, or
 * that has no hour at all, is refused.
 */
final readonly class ForecastReader
{
    private const MOST_HOURS = 24 * 21;
    /** A service's clock may run ahead of ours by so much. */
    private const MOST_AHEAD_SECONDS = 600;
    /** What weather can be (WMO extremes, rounded outward). */
    private const RANGES = [
        'airC' => [-70, 60],
        'humidityPct' => [0, 100],
        'windMs' => [0, 75],
        'gustMs' => [0, 115],
        'windFromDeg' => [0, 360],
        'rainMm' => [0, 310],
        'rainChancePct' => [0, 100],
        'cloudPct' => [0, 100],
        'snowCm' => [0, 1200],
        'soilC' => [-40, 60],
        'topsoilC' => [-50, 80],
    ];

    /**
     * @param mixed $body decoded JSON: {issued, source?, hours: [{at, airC, ...}]}
     * @param \DateTimeImmutable $now by our clock
     *
     * @throws Refused with a pointer to what is wrong
     */
    public static function read(mixed $body, \DateTimeImmutable $now): Forecast
    {
        if (!is_array($body) || !is_array($body['hours'] ?? null)) {
            throw Refused::at('/hours', 'The answer has no list of hours.');
        }
        $issued =
            self::moment($body['issued'] ?? null) ??
            throw Refused::at('/issued', 'When was it worked out? Give a time such as 2026-09-03T06:00:00Z.');
        if ($issued->getTimestamp() - $now->getTimestamp() > self::MOST_AHEAD_SECONDS) {
            throw Refused::at('/issued', 'It was worked out later than now: one of the two clocks is off.');
        }
        $hours = [];
        $bad = 0;
        foreach (array_slice($body['hours'], 0, self::MOST_HOURS) as $entry) {
            $at = is_array($entry) ? self::moment($entry['at'] ?? null) : null;
            if ($at === null || !is_array($entry)) {
                ++$bad;
                continue;
            }
            $hours[] = self::hour($at->setTimestamp(Forecast::begin($at)), $entry, $bad);
        }
        if ($hours === []) {
            throw Refused::at('/hours', 'Not one hour of it can be read.');
        }
        $source = $body['source'] ?? '';

        return new Forecast($issued, is_string($source) ? mb_substr($source, 0, 80) : '', $hours, $bad);
    }

    /** @param array<mixed> $entry */
    private static function hour(\DateTimeImmutable $at, array $entry, int &$bad): WeatherHour
    {
        $value = array_fill_keys(array_keys(self::RANGES), null);
        foreach (self::RANGES as $name => [$least, $most]) {
            $told = $entry[$name] ?? null;
            $number =
                is_int($told) || is_float($told) || (is_string($told) && is_numeric($told)) ? (float) $told : null;
            $isBelieved = $number !== null && is_finite($number) && $number >= $least && $number <= $most;
            $value[$name] = $isBelieved ? $number : null;
            $bad += $told !== null && !$isBelieved ? 1 : 0;
        }
        $in = static fn(string $name, Unit $unit): ?Quantity => $value[$name] === null
            ? null
            : Quantity::of(BigDecimal::of(sprintf('%.3F', $value[$name]))->stripTrailingZeros(), $unit);

        return new WeatherHour(
            $at,
            $in('airC', Unit::Celsius),
            $value['humidityPct'],
            $in('windMs', Unit::MetrePerSecond),
            $in('gustMs', Unit::MetrePerSecond),
            $value['windFromDeg'],
            $in('rainMm', Unit::Millimetre),
            $value['rainChancePct'],
            $value['cloudPct'],
            $in('snowCm', Unit::Centimetre),
            $in('soilC', Unit::Celsius),
            $in('topsoilC', Unit::Celsius),
        );
    }

    /** A time with its offset as services write it, in UTC; null where it is none. */
    public static function moment(mixed $text): ?\DateTimeImmutable
    {
        if (
            !is_string($text) ||
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d)?(\.\d+)?(Z|[+-]\d\d:\d\d)$/D', $text) !== 1
        ) {
            return null;
        }
        try {
            return (new \DateTimeImmutable($text))->setTimezone(new \DateTimeZone('UTC'));
        } catch (\Exception) {
            return null;
        }
    }
}
