<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Brick\Math\BigRational;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What an hour and a litre cost this crew: one currency, exact decimals, each price with its day (rulings B37). */
final readonly class Prices
{
    private const STALE_MONTHS = 18;

    /**
     * @param string $currency three capital letters
     * @param array{amount: BigRational, on: \DateTimeImmutable|null}|null $wage of an hour
     * @param array<string, array{amount: BigRational, per: Quantity, on: \DateTimeImmutable|null}> $products by active: so much for that volume or weight
     */
    public function __construct(public string $currency, public ?array $wage, public array $products)
    {
    }

    /** {currency, wage: {amount, on?}, products: {active: {amount, per, on?}}}; faults are noted at their fields. */
    public static function read(Fields $in, \Thicket\Knowledge\Catalogue $catalogue): self
    {
        $currency = $in->text('currency', 3) ?? 'USD';
        preg_match('/^[A-Z]{3}$/', $currency) === 1 || $in->fault('currency', 'Give the three letters of the currency, such as USD or EUR.');
        $wage = null;
        if ($in->has('wage')) {
            $item = $in->object('wage');
            $amount = $item->decimal('amount', '0', '100000');
            $wage = $amount === null ? null : ['amount' => BigRational::of($amount), 'on' => $item->dayOrNull('on')];
            $item->noOthers();
        } else {
            $in->raw('wage');
        }
        $products = [];
        foreach ($in->objects('products', 200) as $item) {
            $active = $item->text('active', 60);
            if ($active !== null && !$catalogue->hasActive($active)) {
                $item->fault('active', 'This active is not in the catalogue.');
            }
            $amount = $item->decimal('amount', '0', '1000000');
            $per = $item->reading('per', null)?->quantity;
            if ($per !== null && (!in_array($per->dimension(), [Dimension::Volume, Dimension::Mass], true) || $per->isZero())) {
                $item->fault('per', 'Give what the price is for, such as 1 L, 2.5 gal or 8 oz.');
                $per = null;
            }
            $on = $item->dayOrNull('on');
            $item->noOthers();
            if ($active !== null && $amount !== null && $per !== null) {
                $products[$active] = ['amount' => BigRational::of($amount), 'per' => $per, 'on' => $on];
            }
        }
        $in->noOthers();

        return new self($currency, $wage, $products);
    }

    /** Without a day, or older than 18 months (rulings B37). */
    public static function isStale(?\DateTimeImmutable $on, \DateTimeImmutable $today): bool
    {
        return $on === null || $on->modify('+' . self::STALE_MONTHS . ' months') < $today;
    }

    /** What that much product costs; null where nobody priced it, or priced it by another measure. */
    public function ofProduct(string $active, Quantity $amount): ?BigRational
    {
        $price = $this->products[$active] ?? null;
        if ($price === null || $price['per']->dimension() !== $amount->dimension()) {
            return null;
        }

        return $price['amount']->multipliedBy($amount->per($price['per']));
    }

    public function ofHours(Quantity $time): ?BigRational
    {
        return $this->wage === null ? null : $this->wage['amount']->multipliedBy($time->in(Unit::Hour));
    }
}
