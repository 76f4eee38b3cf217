<?php

declare(strict_types=1);

namespace Thicket\Review;

use Brick\Math\BigRational;

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
        public bool $amended = false,
    ) {}
}
