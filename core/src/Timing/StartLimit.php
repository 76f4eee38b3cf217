<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Brick\Math\RoundingMode;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** One limit for a reading taken on the spot; the limit itself is still allowed. */
final readonly class StartLimit
{
    public function __construct(
        public FactName $fact,
        public bool $least,
        public Quantity $value,
        public string $source,
    ) {}

    public function allows(Quantity $reading): bool
    {
        return $this->least ? !$reading->isLessThan($this->value) : !$reading->isGreaterThan($this->value);
    }

    /** In another unit to two digits after the point, rounded to its safe side. */
    public function safeIn(Unit $unit): string
    {
        $rounding = $this->least ? RoundingMode::CEILING : RoundingMode::FLOOR;

        return (string) $this->value->decimal($unit, 2, $rounding)->stripTrailingZeros();
    }

    /** Code of the sentence: 'limit.wind-speed.most' and the like. */
    public function code(): string
    {
        return "limit.{$this->fact->value}." . ($this->least ? 'least' : 'most');
    }
}
