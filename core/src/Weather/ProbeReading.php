<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Brick\Math\BigDecimal;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What a soil probe reads 30 cm (1 ft) down; null where it does not tell, or tells what no soil has. */
final readonly class ProbeReading
{
    private const OLD_SECONDS = 3600;
    private const AHEAD_SECONDS = 600;
    private const SOIL_C = [-40.0, 60.0];
    /** Water by volume, percent: below it is dry, from the second on wet (loam; ours). */
    private const MOIST_PERCENT = 15.0;
    private const WET_PERCENT = 35.0;

    /** @param 'dry'|'moist'|'wet'|null $moisture */
    private function __construct(public \DateTimeImmutable $at, public ?Quantity $soil, public ?string $moisture) {}

    /**
     * @param mixed $body decoded JSON: {at, soilC, moisturePct}
     *
     * @throws Refused where it is not of now, or tells nothing
     */
    public static function read(mixed $body, \DateTimeImmutable $now): self
    {
        $at =
            ForecastReader::moment(is_array($body) ? $body['at'] ?? null : null) ??
            throw Refused::at('/at', 'The probe does not say when it read that.');
        $age = $now->getTimestamp() - $at->getTimestamp();
        if ($age > self::OLD_SECONDS || $age < -self::AHEAD_SECONDS) {
            throw Refused::at('/at', 'The probe has not read anything this hour.');
        }
        $told = is_array($body) ? $body : [];
        $soil = self::figure($told['soilC'] ?? null, ...self::SOIL_C);
        $water = self::figure($told['moisturePct'] ?? null, 0.0, 100.0);
        if ($soil === null && $water === null) {
            throw Refused::at('/soilC', 'The probe tells nothing that soil can be.');
        }

        return new self(
            $at,
            $soil === null ? null : Quantity::of(BigDecimal::of(sprintf('%.1F', $soil)), Unit::Celsius),
            match (true) {
                $water === null => null,
                $water < self::MOIST_PERCENT => 'dry',
                $water < self::WET_PERCENT => 'moist',
                default => 'wet',
            },
        );
    }

    private static function figure(mixed $told, float $least, float $most): ?float
    {
        $figure = is_int($told) || is_float($told) ? (float) $told : null;

        return $figure !== null && is_finite($figure) && $figure >= $least && $figure <= $most ? $figure : null;
    }
}
