<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigRational;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;

/**
 * How strong a finished mix is, in product. The way it was written is kept; the share of product in the finished
 * volume is exact. "1:4" is one part product and four parts carrier, hence 20 % (handbook 3).
 */
final readonly class Strength
{
    private function __construct(
        /** Product volume over finished volume, 0 to 1. */
        public BigRational $share,
        public string $typed,
        public bool $isParts,
    ) {}

    /** @throws UnreadableQuantity when a part is zero or the share is above the whole */
    public static function parts(string $product, string $carrier, string $typed = ''): self
    {
        $product = Quantity::of($product, Unit::One)->amount;
        $carrier = Quantity::of($carrier, Unit::One)->amount;
        if (!$product->isPositive() || $carrier->isNegative()) {
            throw UnreadableQuantity::notANumber($typed);
        }

        return new self(
            $product->dividedBy($product->plus($carrier))->simplified(),
            $typed !== '' ? $typed : "$product:$carrier",
            true,
        );
    }

    /**
     * @throws UnitMismatch when the quantity is no product share (a share of the active is another basis)
     * @throws UnreadableQuantity when it is below zero or above 100 %
     */
    public static function ofQuantity(Quantity $quantity, string $typed = ''): self
    {
        $quantity->mustMatch(Dimension::ProductShare);
        $share = $quantity->amount->multipliedBy($quantity->unit->factor())->simplified();
        if ($share->isNegative() || $share->isGreaterThan(1)) {
            throw UnreadableQuantity::tooLarge(
                $typed !== '' ? $typed : $quantity->amount . ' ' . $quantity->unit->label(),
            );
        }

        return new self($share, $typed, false);
    }

    /**
     * Reads "15%", "1:4", "2 tsp/gal", "0.5 % v/v".
     *
     * @throws UnreadableQuantity|UnitMismatch
     */
    public static function parse(string $typed, Gallon $gallon = Gallon::Us): self
    {
        if (preg_match('/^\s*(\d{1,6}(?:\.\d{1,9})?)\s*:\s*(\d{1,6}(?:\.\d{1,9})?)\s*$/D', $typed, $found) === 1) {
            return self::parts($found[1], $found[2], trim($typed));
        }

        // "1 in 4" is one part of four, "1 part to 3" one part beside three: the same strength said otherwise
        if (
            preg_match('/^\s*(\d{1,6})\s+(?:part\s+)?in\s+(\d{1,6})(?:\s+parts?)?\s*$/iD', $typed, $found) === 1 &&
            (int) $found[2] > (int) $found[1]
        ) {
            return self::parts($found[1], (string) ((int) $found[2] - (int) $found[1]), trim($typed));
        }
        if (preg_match('/^\s*(\d{1,6})\s*(?:parts?\s+)?to\s+(\d{1,6})(?:\s+parts?)?\s*$/iD', $typed, $found) === 1) {
            return self::parts($found[1], $found[2], trim($typed));
        }

        return self::ofQuantity(Reading::parse($typed, Dimension::ProductShare, $gallon)->quantity, trim($typed));
    }

    /**
     * The same, where the amount is said to a volume of water and not of finished mix (rulings J27): an ounce to a
     * gallon is one part in 129.
     *
     * @return self|null null where it was not written as an amount to a volume
     */
    public function saidToCarrier(): ?self
    {
        return $this->isParts || !str_contains($this->typed, '/')
            ? null
            : new self($this->share->dividedBy($this->share->plus(1))->simplified(), $this->typed, false);
    }

    public function percent(): Quantity
    {
        return Quantity::of($this->share->multipliedBy(100), Unit::PercentProduct);
    }

    /** Product in this much finished mix, in the unit of the mix. */
    public function productIn(Quantity $finished): Quantity
    {
        return $finished->mustMatch(Dimension::Volume)->times($this->share);
    }
}
