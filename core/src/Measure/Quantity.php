<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;

/**
 * An amount with its unit: exact, in the unit it was first given (rulings B5). Digits are lost only in
 * {@see self::decimal()}, where scale and rounding are the caller's choice.
 */
final readonly class Quantity
{
    /** So many read figures are kept; a worker that lives long must not grow. */
    private const KEPT = 5000;
    /** Relative; three roundings of a double err by less than a millionth of this. */
    private const FLOAT_ERR = 1e-9;

    private function __construct(public BigRational $amount, public Unit $unit) {}

    /**
     * @param BigRational|BigDecimal|int|string $amount a decimal or "n/d" string; never a float
     *
     * @throws UnreadableQuantity when the string is no number
     */
    public static function of(BigRational|BigDecimal|int|string $amount, Unit $unit): self
    {
        return new self(
            is_string($amount) || is_int($amount)
                ? self::read((string) $amount)
                : BigRational::of($amount)->simplified(),
            $unit,
        );
    }

    /** Figures of the catalogue and limits of rules are read again and again, so what was read is kept. */
    private static function read(string $amount): BigRational
    {
        /** @var array<string, BigRational> $known */
        static $known = [];
        if (isset($known[$amount])) {
            return $known[$amount];
        }
        if (preg_match('#^-?\d{1,30}(\.\d{1,30})?(/\d{1,30}(\.\d{1,30})?)?$#', $amount) !== 1) {
            throw UnreadableQuantity::notANumber($amount);
        }
        [$over, $under] = [...explode('/', $amount), '1'];
        if (BigDecimal::of($under)->isZero()) {
            throw UnreadableQuantity::notANumber($amount);
        }
        $read = BigRational::of($over)->dividedBy($under)->simplified();
        count($known) < self::KEPT && ($known[$amount] = $read);

        return $read;
    }

    public static function zero(Unit $unit): self
    {
        return new self(BigRational::zero(), $unit);
    }

    public function dimension(): Dimension
    {
        return $this->unit->dimension();
    }

    /** @throws UnitMismatch when the unit measures something else */
    public function to(Unit $unit): self
    {
        if ($unit === $this->unit) {
            return $this;
        }
        $this->mustMatch($unit->dimension());
        if ($this->dimension() === Dimension::Temperature) {
            return new self(self::toTemperature($this->amount, $this->unit, $unit)->simplified(), $unit);
        }

        return new self($this->amount->multipliedBy($this->unit->ratioTo($unit))->simplified(), $unit);
    }

    /** Amount in the given unit as an exact rational. */
    public function in(Unit $unit): BigRational
    {
        return $this->to($unit)->amount;
    }

    /** Amount in the given unit, rounded as told; result has exactly $scale decimals. */
    public function decimal(Unit $unit, int $scale, RoundingMode $rounding): BigDecimal
    {
        return $this->in($unit)->toScale($scale, $rounding);
    }

    /** In its own unit; statistics, geometry and drawings only. */
    public function float(Unit $unit): float
    {
        return $this->in($unit)->toFloat();
    }

    /** @throws UnitMismatch when the other measures something else */
    public function plus(self $other): self
    {
        return new self($this->amount->plus($other->in($this->unit))->simplified(), $this->unit);
    }

    /** @throws UnitMismatch when the other measures something else */
    public function minus(self $other): self
    {
        return new self($this->amount->minus($other->in($this->unit))->simplified(), $this->unit);
    }

    /** Scaled by a plain number; the unit stays. */
    public function times(BigRational|BigDecimal|int|string $factor): self
    {
        return new self($this->amount->multipliedBy($factor)->simplified(), $this->unit);
    }

    public function dividedBy(BigRational|BigDecimal|int|string $divisor): self
    {
        return new self($this->amount->dividedBy($divisor)->simplified(), $this->unit);
    }

    /** How many of the other go into this: a plain exact number. */
    public function per(self $other): BigRational
    {
        return $this->in($this->unit)->dividedBy($other->in($this->unit))->simplified();
    }

    /**
     * Exact; but what lies further apart than a float can err is told by floats, which is most of all comparisons.
     *
     * @throws UnitMismatch when the other measures something else
     */
    public function compareTo(self $other): int
    {
        if ($other->unit === $this->unit || $this->dimension() !== Dimension::Temperature) {
            $other->mustMatch($this->dimension());
            [$mine, $its] = [$this->roughly(), $other->roughly()];
            if (abs($mine - $its) > self::FLOAT_ERR * max(abs($mine), abs($its))) {
                return $mine <=> $its;
            }
        }

        return $this->amount->compareTo($other->in($this->unit));
    }

    /** In the canonical unit of the dimension; temperatures, which have no common nought, in their own. */
    private function roughly(): float
    {
        return ($this->amount->getNumerator()->toFloat() / $this->amount->getDenominator()->toFloat()) *
            $this->unit->roughFactor();
    }

    public function isLessThan(self $other): bool
    {
        return $this->compareTo($other) < 0;
    }

    public function isGreaterThan(self $other): bool
    {
        return $this->compareTo($other) > 0;
    }

    public function equals(self $other): bool
    {
        return $this->dimension() === $other->dimension() && $this->compareTo($other) === 0;
    }

    public function isZero(): bool
    {
        return $this->amount->isZero();
    }

    public function isNegative(): bool
    {
        return $this->amount->isNegative();
    }

    /** @throws UnitMismatch */
    public function mustMatch(Dimension $dimension): self
    {
        if ($this->dimension() !== $dimension) {
            throw UnitMismatch::wanted($dimension, $this->unit);
        }

        return $this;
    }

    /** What {@see toWire()} wrote, with whatever stands beside it; null where it is none. */
    public static function ofWire(mixed $wire): ?self
    {
        $unit = is_array($wire) && is_string($wire['unit'] ?? null) ? Unit::tryFrom($wire['unit']) : null;

        return $unit !== null && is_array($wire) && is_string($wire['value'] ?? null)
            ? self::of($wire['value'], $unit)
            : null;
    }

    /**
     * Wire form: a decimal string of at most nine places, no trailing zeros. Exact where the amount is a
     * decimal of nine places or fewer, else rounded half up.
     *
     * @return array{value: string, unit: string}
     */
    public function toWire(): array
    {
        return [
            'value' => (string) $this->amount->toScale(9, RoundingMode::HALF_UP)->stripTrailingZeros(),
            'unit' => $this->unit->value,
        ];
    }

    /** The wire form in one text, as a reading takes it again: "2.5 gal". */
    public function asText(): string
    {
        return implode(' ', $this->toWire());
    }

    /** degrees C = (F - 32) x 5/9 (rulings J27). */
    private static function toTemperature(BigRational $amount, Unit $from, Unit $to): BigRational
    {
        return $from === Unit::Fahrenheit && $to === Unit::Celsius
            ? $amount->minus(32)->multipliedBy(Unit::Fahrenheit->factor())
            : $amount->dividedBy(Unit::Fahrenheit->factor())->plus(32);
    }
}
