<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Brick\Math\BigRational;
use Thicket\Calendar\Day;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What an hour and a litre cost this crew: one currency, exact decimals, each price with its day (rulings B37). */
final readonly class Prices
{
    /** Priced like products: what a mix holds besides them. */
    public const MATERIALS = ['oil', 'fuel-oil', 'dye', 'surfactant', 'cover-seed'];
    private const STALE_MONTHS = 18;

    /**
     * @param string $currency three capital letters
     * @param array{amount: BigRational, on: \DateTimeImmutable|null}|null $wage of an hour
     * @param array<string, array{amount: BigRational, per: Quantity, on: \DateTimeImmutable|null}> $products by active
     *     or material: so much for that volume or weight
     */
    public function __construct(public string $currency, public ?array $wage, public array $products) {}

    /**
     * {currency, wage: {amount, on?}, products: {active: {amount, per, on?}}}; faults are noted at their fields; with a
     * day given as today no price is of a later one.
     */
    public static function read(
        Fields $in,
        \Thicket\Catalogue\Catalogue $catalogue,
        ?\DateTimeImmutable $today = null,
    ): self {
        $currency = $in->text('currency', 3) ?? 'USD';
        preg_match('/^[A-Z]{3}$/D', $currency) === 1 ||
            $in->fault('currency', 'Give the three letters of the currency, such as USD or EUR.');
        $wage = null;
        if ($in->has('wage')) {
            $item = $in->object('wage');
            $amount = $item->decimal('amount', '0', '100000');
            $wage =
                $amount === null ? null : ['amount' => BigRational::of($amount), 'on' => self::paidOn($item, $today)];
            $item->noOthers();
        } else {
            $in->raw('wage');
        }
        $products = [];
        foreach ($in->objects('products', 200) as $item) {
            $active = $item->text('active', 60);
            if ($active !== null && !$catalogue->hasActive($active) && !in_array($active, self::MATERIALS, true)) {
                $item->fault(
                    'active',
                    'This active is not in the catalogue; besides actives there are prices of ' .
                        implode(', ', self::MATERIALS) .
                        '.',
                );
            }
            $amount = $item->decimal('amount', '0', '1000000');
            $per = $item->reading('per', null)?->quantity;
            if (
                $per !== null &&
                (!in_array($per->dimension(), [Dimension::Volume, Dimension::Mass], true) || $per->isZero())
            ) {
                $item->fault('per', 'Give what the price is for, such as 1 L, 2.5 gal or 8 oz.');
                $per = null;
            }
            $on = self::paidOn($item, $today);
            $item->noOthers();
            if ($active !== null && $amount !== null && $per !== null) {
                $products[$active] = ['amount' => BigRational::of($amount), 'per' => $per, 'on' => $on];
            }
        }
        $in->noOthers();

        return new self($currency, $wage, $products);
    }

    private static function paidOn(Fields $item, ?\DateTimeImmutable $today): ?\DateTimeImmutable
    {
        return $today === null ? $item->dayOrNull('on') : $item->pastDayOrNull('on', $today);
    }

    /** Without a day, or older than 18 months (rulings B37). */
    public static function isStale(?\DateTimeImmutable $on, \DateTimeImmutable $today): bool
    {
        return $on === null || Day::plusMonths($on, self::STALE_MONTHS) < $today;
    }

    /**
     * With the prices of pack sizes for what has no price of its own: of an active the pack that is cheapest for its
     * content, one with a fresh price before one with an old.
     *
     * @param list<array{active: string, size: Quantity, price: BigRational, on: \DateTimeImmutable|null}> $packs
     */
    public function withPacks(array $packs, \DateTimeImmutable $today): self
    {
        $products = [];
        foreach ($packs as $pack) {
            $one = ['amount' => $pack['price'], 'per' => $pack['size'], 'on' => $pack['on']];
            $held = $products[$pack['active']] ?? null;
            if (
                $held === null ||
                ($held['per']->dimension() === $one['per']->dimension() && self::isBetter($one, $held, $today))
            ) {
                $products[$pack['active']] = $one;
            }
        }

        return new self($this->currency, $this->wage, $this->products + $products);
    }

    /**
     * @param array{amount: BigRational, per: Quantity, on: \DateTimeImmutable|null} $one
     * @param array{amount: BigRational, per: Quantity, on: \DateTimeImmutable|null} $held
     */
    private static function isBetter(array $one, array $held, \DateTimeImmutable $today): bool
    {
        $stale = self::isStale($one['on'], $today) <=> self::isStale($held['on'], $today);

        return $stale !== 0
            ? $stale < 0
            : $one['amount']->isLessThan($held['amount']->multipliedBy($one['per']->per($held['per'])));
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
