<?php

declare(strict_types=1);

namespace Thicket\Review;

use Brick\Math\BigRational;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Prices;

/** What a signed record gives to the accounts. */
final readonly class Job
{
    /**
     * More than six: what a record gives.
     *
     * @param int|null $minutes of all who worked; null where it is not told
     * @param BigRational|null $money wages and product; null where a price or the time is not known
     * @param BigRational|null $hectares of the ground that was worked
     * @param float|null $dead of those treated, by its newest score; null where nobody judged it
     * @param array<string, BigRational> $kilograms of active put out, by its name and basis
     * @param int|null $released wanted trees that were given room, by the newest look that counted them
     * @param bool $amended its time, people, count or mix were put right by words since, which no sum reads
     */
    public function __construct(
        public int $record,
        public string $year,
        public string $patch,
        public string $method,
        public ?int $minutes,
        public ?BigRational $money,
        public int $treated,
        public ?BigRational $hectares,
        public ?float $dead,
        public array $kilograms,
        public ?int $released = null,
        public bool $amended = false,
    ) {}

    /**
     * Wages, and each product at its price; null where one of them is not known.
     *
     * @param list<array{active: string|null, used: Quantity|null}> $products that were put out
     */
    public static function costs(?int $minutes, array $products, ?Prices $prices): ?BigRational
    {
        $sum = $minutes === null ? null : $prices?->ofHours(Quantity::of($minutes, Unit::Minute));
        foreach ($products as ['active' => $active, 'used' => $used]) {
            $price = $active === null || $used === null ? null : $prices?->ofProduct($active, $used);
            $sum = $price === null ? null : $sum?->plus($price);
        }

        return $sum;
    }

    /**
     * Kilograms that a load put on ground; null where it is of product, which no sum of active counts.
     *
     * @return array{basis: string, kilograms: BigRational}|null basis: a.e. or a.i.
     */
    public static function putOut(Quantity $load, BigRational $hectares): ?array
    {
        [$unit, $basis] = match ($load->unit->dimension()) {
            Dimension::EquivalentPerArea => [Unit::KilogramEquivalentPerHectare, 'a.e.'],
            Dimension::IngredientPerArea => [Unit::KilogramIngredientPerHectare, 'a.i.'],
            default => [null, ''],
        };

        return $unit === null ? null : ['basis' => $basis, 'kilograms' => $load->in($unit)->multipliedBy($hectares)];
    }
}
