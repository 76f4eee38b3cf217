<?php

declare(strict_types=1);

namespace Thicket\Weather;

use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** A forecast as somebody types it off the radio: a few stretches of a day, the same through each of them. */
final readonly class TypedForecast
{
    private const MOST_BLOCKS = 60;
    private const LONGEST_HOURS = 24;

    /** @return list<array<string, float|string>> hours as a service tells them */
    public static function read(Fields $in, \DateTimeZone $zone): array
    {
        $hours = [];
        foreach ($in->objects('blocks', self::MOST_BLOCKS, true) as $block) {
            $from = self::begin($block, $zone);
            $count = $block->int('hours', 1, self::LONGEST_HOURS) ?? 1;
            $values = self::values($block, $count);
            if ($values === [] && !$block->faults->any()) {
                $block->fault('air', 'Say something of this stretch: temperature, wind, rain or cloud.');
            }
            for ($i = 0; $from !== null && $i < $count; ++$i) {
                $hours[] = ['at' => $from->modify("+{$i} hours")->format('Y-m-d\TH:i:s\Z')] + $values;
            }
            $block->noOthers();
        }

        return $hours;
    }

    private static function begin(Fields $block, \DateTimeZone $zone): ?\DateTimeImmutable
    {
        $day = $block->day('day');
        $hour = $block->int('from', 0, 23);

        return $day === null || $hour === null
            ? null
            : (new \DateTimeImmutable(sprintf('%s %02d:00', $day->format('Y-m-d'), $hour), $zone))->setTimezone(
                new \DateTimeZone('UTC'),
            );
    }

    /** @return array<string, float> */
    private static function values(Fields $block, int $hours): array
    {
        $air = $block->quantityOrNull('air', Dimension::Temperature);
        $wind = $block->quantityOrNull('wind', Dimension::Speed);
        $gust = $block->quantityOrNull('gust', Dimension::Speed);
        // of the whole stretch
        $rain = $block->quantityOrNull('rain', Dimension::Length);
        $told = [
            'airC' => self::in($air, Unit::Celsius),
            'windMs' => self::in($wind, Unit::MetrePerSecond),
            'gustMs' => self::in($gust, Unit::MetrePerSecond),
            'rainMm' => $rain === null ? null : self::in($rain, Unit::Millimetre) / $hours,
            'rainChancePct' => self::whole($block, 'rainChance', 100),
            'cloudPct' => self::whole($block, 'cloud', 100),
            'humidityPct' => self::whole($block, 'humidity', 100),
            'windFromDeg' => self::whole($block, 'windFrom', 360),
        ];

        return array_map(floatval(...), array_filter($told, static fn(mixed $v): bool => $v !== null));
    }

    private static function in(?Quantity $quantity, Unit $unit): ?float
    {
        return $quantity === null
            ? null
            : (float) (string) $quantity->in($unit)->toScale(3, \Brick\Math\RoundingMode::HALF_UP);
    }

    private static function whole(Fields $block, string $name, int $most): ?string
    {
        return $block->has($name) ? $block->decimal($name, '0', (string) $most) : null;
    }
}
