<?php

declare(strict_types=1);

namespace App\Support;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

/** Small pieces of the wire form (model.md "Across the wire", rulings B4). */
final class Format
{
    /** @return array{value: string, unit: string, shown: array{us: string, metric: string}}|null */
    public static function quantity(?Quantity $quantity): ?array
    {
        return $quantity === null ? null : $quantity->toWire() + ['shown' => Shown::both($quantity)];
    }

    /**
     * A length or an area of the ground: also as people say it, where that is rounded; the exact figure is a tap away.
     *
     * @param list<Quantity> $limits told beside it: it is never rounded to one, nor past it
     *
     * @return array{value: string, unit: string, shown: array{us: string, metric: string}, told?: array{us: string,
     *     metric: string}}|null
     */
    public static function ground(?Quantity $quantity, array $limits = []): ?array
    {
        return self::told(
            $quantity,
            static fn(Quantity $q, System $system): array => Shown::told($q, $system, $limits),
        );
    }

    /**
     * An amount that was used: also rounded as an account tells it.
     *
     * @return array{value: string, unit: string, shown: array{us: string, metric: string}, told?: array{us: string,
     *     metric: string}}|null
     */
    public static function accounted(?Quantity $quantity): ?array
    {
        return self::told($quantity, static fn(Quantity $q, System $s): array => Shown::roughly($q, $s, '5/100'));
    }

    /**
     * What a tank or jug is filled to: also rounded as far as anybody sees on a wall of it, and up, so that the mix is
     * never stronger than it was worked out. Never for product.
     *
     * @return array{value: string, unit: string, shown: array{us: string, metric: string}, told?: array{us: string,
     *     metric: string}}|null
     */
    public static function filled(?Quantity $quantity): ?array
    {
        return self::told(
            $quantity,
            static fn(Quantity $q, System $s): array => Shown::roughly($q, $s, '1/100', RoundingMode::UP),
        );
    }

    /**
     * @param \Closure(Quantity, System): array{text: string, about: bool} $tell
     *
     * @return array{value: string, unit: string, shown: array{us: string, metric: string}, told?: array{us: string,
     *     metric: string}}|null
     */
    private static function told(?Quantity $quantity, \Closure $tell): ?array
    {
        $exact = self::quantity($quantity);
        if ($quantity === null || $exact === null) {
            return null;
        }
        $told = ['us' => $tell($quantity, System::Us), 'metric' => $tell($quantity, System::Metric)];
        $isRounded = $told['us']['about'] || $told['metric']['about'];

        return $isRounded
            ? $exact + ['told' => array_map(static fn(array $one): string => $one['text'], $told)]
            : $exact;
    }

    /** A size as it stands on the container, whatever units are looked in; it reads again as typed. */
    public static function asSold(Quantity $size): string
    {
        return str_replace(' (dry)', ' wt', Shown::withUnit($size->amount, $size->unit));
    }

    /** An amount of money with two decimals, rounded half up once (rulings B37). */
    public static function money(?BigRational $amount): ?string
    {
        return $amount === null ? null : (string) $amount->toScale(2, RoundingMode::HALF_UP);
    }

    /**
     * Reckoned hours, told no finer than they are known: tenths below ten, then whole ones.
     *
     * @return array<string, mixed>|null
     */
    public static function hours(?Quantity $time): ?array
    {
        if ($time === null) {
            return null;
        }
        $hours = $time->in(Unit::Hour);
        $text = $hours->toScale($hours->isLessThan(10) ? 1 : 0, RoundingMode::HALF_UP)->stripTrailingZeros() . ' h';

        return Quantity::of($hours, Unit::Hour)->toWire() + ['shown' => ['us' => $text, 'metric' => $text]];
    }

    /**
     * Low, use and high of a figure in time.
     *
     * @param array{Quantity, Quantity, Quantity}|null $range
     *
     * @return array{low: array<string, mixed>|null, use: array<string, mixed>|null, high: array<string,
     *     mixed>|null}|null
     */
    public static function range(?array $range): ?array
    {
        return $range === null
            ? null
            : ['low' => self::hours($range[0]), 'use' => self::hours($range[1]), 'high' => self::hours($range[2])];
    }

    /** As it is kept in settings, and read again: "0.5 in". */
    public static function kept(Quantity $quantity): string
    {
        return "{$quantity->amount->toScale(4, RoundingMode::HALF_UP)->stripTrailingZeros()} {$quantity->unit->value}";
    }

    public static function day(?\DateTimeInterface $day): ?string
    {
        return $day?->format('Y-m-d');
    }

    /** @param string|null $timeZone of the ground it belongs to: its day is read off as it was there */
    public static function moment(?\DateTimeInterface $moment, ?string $timeZone = null): ?string
    {
        return $moment === null
            ? null
            : \DateTimeImmutable::createFromInterface($moment)
                ->setTimezone(new \DateTimeZone($timeZone ?? 'UTC'))
                ->format(\DATE_RFC3339);
    }

    /**
     * Values of a finding or a sum, each in its wire form.
     *
     * @param array<string, mixed> $values
     *
     * @return array<string, mixed>|\stdClass
     */
    public static function values(array $values): array|\stdClass
    {
        $out = array_map(self::value(...), $values);

        return $out === [] ? new \stdClass() : $out;
    }

    private static function value(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Quantity => self::quantity($value),
            $value instanceof BigRational => (string) $value->toScale(9, RoundingMode::HALF_UP)->stripTrailingZeros(),
            $value instanceof \DateTimeInterface => self::day($value),
            is_array($value) => array_map(self::value(...), $value),
            default => $value,
        };
    }
}
