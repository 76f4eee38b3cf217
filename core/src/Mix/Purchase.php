<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Mix\Exception\Unmixable;

/**
 * The cheapest set of containers that covers a need (handbook 3, sum 9); among equally cheap ones the least left over,
 * then the fewest. Branch and bound: every set that could still be cheaper is looked at, up to twenty thousand; past
 * that the best found is taken and not said to be proven. What stands on the shelf is used first and costs nothing.
 */
final class Purchase
{
    private const MOST_LOOKS = 20_000;

    private const MOST_SIZES = 8;
    private const MOST_CONTAINERS = 2000;

    /**
     * @param list<array{size: Quantity, price: BigRational, count: int}> $bought
     * @param Quantity $short what the shelf does not cover
     * @param Quantity $left what stays on the shelf after the job
     */
    private function __construct(
        public readonly array $bought,
        public readonly BigRational $cost,
        public readonly Quantity $short,
        public readonly Quantity $left,
        /** Whether no set can be better. */
        public readonly bool $proven,
    ) {}

    /**
     * @param Quantity $need volume or weight
     * @param list<array{size: Quantity, price: BigRational}> $sizes each of the kind of the need
     *
     * @throws Exception\Unmixable when there is something to buy and nothing to buy it in, or far too many would be
     *     needed
     */
    public static function of(Quantity $need, Quantity $onShelf, array $sizes): self
    {
        $short = $need->isGreaterThan($onShelf) ? $need->minus($onShelf->to($need->unit)) : Quantity::zero($need->unit);
        if ($short->isZero()) {
            return new self([], BigRational::zero(), $short, $onShelf->to($need->unit)->minus($need), true);
        }
        $sizes = array_values(
            array_filter(
                $sizes,
                static fn(array $s): bool => $s['size']->dimension() === $need->dimension() && !$s['size']->isZero(),
            ),
        );
        // dearest a litre last: the first cover found is then a good one, and most others are dropped early
        usort(
            $sizes,
            static fn(array $a, array $b): int => self::unitPrice($a)->compareTo(self::unitPrice($b)) ?:
            $b['size']->compareTo($a['size']),
        );
        $sizes = array_slice($sizes, 0, self::MOST_SIZES);
        $largest = array_reduce(
            $sizes,
            static fn(?Quantity $most, array $s): Quantity => $most === null || $s['size']->isGreaterThan($most)
                ? $s['size']
                : $most,
        );
        if ($largest === null || $short->per($largest)->isGreaterThan(self::MOST_CONTAINERS)) {
            throw Unmixable::nothingToBuyIn();
        }
        $rest = array_map(static fn(array $s): array => [$s['size']->to($short->unit)->amount, $s['price']], $sizes);
        $looks = 0;
        $best =
            self::cover($rest, $short->amount, [], BigRational::zero(), null, $looks) ??
            throw new \LogicException('a size that is more than nothing covers any need.');
        $bought = [];
        $volume = Quantity::zero($short->unit);
        foreach ($best['counts'] as $i => $count) {
            if ($count > 0) {
                $bought[] = $sizes[$i] + ['count' => $count];
                $volume = $volume->plus($sizes[$i]['size']->to($short->unit)->times($count));
            }
        }

        return new self(
            $bought,
            $best['cost'],
            $short,
            $onShelf->to($need->unit)->plus($volume)->minus($need),
            $looks < self::MOST_LOOKS,
        );
    }

    /**
     * @param list<array{BigRational, BigRational}> $sizes size and price, cheapest a unit first
     * @param list<int> $chosen of the sizes before
     * @param array{cost: BigRational, over: BigRational, pieces: int, counts: list<int>}|null $best
     *
     * @return array{cost: BigRational, over: BigRational, pieces: int, counts: list<int>}|null
     */
    private static function cover(
        array $sizes,
        BigRational $short,
        array $chosen,
        BigRational $cost,
        ?array $best,
        int &$looks,
    ): ?array {
        if (!$short->isGreaterThan(0)) {
            $found = [
                'cost' => $cost,
                'over' => $short->negated(),
                'pieces' => array_sum($chosen),
                'counts' => array_pad($chosen, count($sizes), 0),
            ];

            return $best === null || self::isBetter($found, $best) ? $found : $best;
        }
        if (!isset($sizes[count($chosen)]) || ++$looks > self::MOST_LOOKS) {
            return $best;
        }
        [$size, $price] = $sizes[count($chosen)];
        // no set from here on can cost less than the whole rest at this, the cheapest unit price left
        $least = $cost->plus($short->multipliedBy($price)->dividedBy($size));
        $against = $best === null ? -1 : $least->compareTo($best['cost']);
        if ($best !== null && ($against > 0 || ($against === 0 && $best['over']->isZero()))) {
            return $best;
        }
        $most = $short->dividedBy($size)->toScale(0, RoundingMode::CEILING)->toInt();
        for ($count = $most; $count >= 0 && $looks <= self::MOST_LOOKS; --$count) {
            $best = self::cover(
                $sizes,
                $short->minus($size->multipliedBy($count)),
                [...$chosen, $count],
                $cost->plus($price->multipliedBy($count)),
                $best,
                $looks,
            );
        }

        return $best;
    }

    /**
     * @param array{cost: BigRational, over: BigRational, pieces: int, counts: list<int>} $a
     * @param array{cost: BigRational, over: BigRational, pieces: int, counts: list<int>} $b
     */
    private static function isBetter(array $a, array $b): bool
    {
        return [$a['cost']->compareTo($b['cost']), $a['over']->compareTo($b['over']), $a['pieces'] <=> $b['pieces']] < [
            0,
            0,
            0,
        ];
    }

    /** @param array{size: Quantity, price: BigRational} $size */
    private static function unitPrice(array $size): BigRational
    {
        return $size['price']->dividedBy($size['size']->amount->multipliedBy($size['size']->unit->factor()));
    }
}
