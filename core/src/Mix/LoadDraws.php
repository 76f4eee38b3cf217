<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;

/**
 * Whether what is drawn from containers is what a load takes: each draw of a product of the load, and together what the
 * load takes of it; a product that nothing is drawn of came from elsewhere.
 */
final readonly class LoadDraws
{
    /** How far the product drawn may be off the product of the load: measuring is no finer (our guess). */
    private const MOST_OFF = '0.02';

    /**
     * @param list<Quantity> $amounts what each draw takes, in their order; empty where there is a fault
     * @param array{draw: int|null, code: string, product: string|null}|null $fault which draw, and what is wrong with
     *     it: other-product, amount, sum
     */
    private function __construct(public array $amounts, public ?array $fault = null) {}

    /**
     * @param array<string, Quantity> $takes what the load takes, by product
     * @param list<array{product: string|null, amount: Quantity|null}> $draws an amount may be left out where a product
     *     is drawn from one container
     */
    public static function check(array $takes, array $draws): self
    {
        $amounts = [];
        $sums = [];
        $products = array_column($draws, 'product');
        foreach ($draws as $i => ['product' => $product, 'amount' => $amount]) {
            $wanted = $takes[$product ?? ''] ?? null;
            if ($product === null || $wanted === null) {
                return new self([], ['draw' => $i, 'code' => 'other-product', 'product' => null]);
            }
            $amount ??= count(array_keys($products, $product, true)) === 1 ? $wanted : null;
            if ($amount === null || $amount->dimension() !== $wanted->dimension() || $amount->isNegative()) {
                return new self([], ['draw' => $i, 'code' => 'amount', 'product' => $product]);
            }
            $amounts[] = $amount;
            $sums[$product] = ($sums[$product] ?? Quantity::zero($wanted->unit))->plus($amount->to($wanted->unit));
        }
        foreach ($sums as $product => $sum) {
            $off = $sum->minus($takes[$product])->amount->abs();
            if ($off->isGreaterThan($takes[$product]->amount->multipliedBy(BigRational::of(self::MOST_OFF)))) {
                return new self([], ['draw' => null, 'code' => 'sum', 'product' => $product]);
            }
        }

        return new self($amounts);
    }
}
