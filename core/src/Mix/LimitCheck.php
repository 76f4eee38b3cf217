<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Catalogue\Active;
use Thicket\Label\LabelCard;
use Thicket\Label\LabelLimit;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What a job puts on its ground, and what was put there already, against the card's limits for the site: once, in a
 * year, how often (handbook 3, sum 10; rulings J7). A limit in product is turned into active as soon as other products
 * count too. A gap is 'cannot tell', which blocks.
 */
final readonly class LimitCheck
{
    /**
     * More than six: a limit, what stands against it, and what is left.
     *
     * @param Quantity|null $planned per area, with what was there before; of the kind that the limit was held in
     * @param Quantity|null $most the limit that decides
     * @param bool|null $kept null where it cannot be told
     * @param string|null $missing fact without which it cannot be told
     * @param string $by year, application or times: what decides
     * @param Quantity|null $left product that the year's limit still leaves for this ground; null where that cannot be
     *     told
     * @param BigRational|null $room factor by which the job's product may grow before any of its limits is passed; null
     *     where that cannot be told
     */
    private function __construct(
        public ?Quantity $planned,
        public ?Quantity $most,
        public ?bool $kept,
        public ?string $missing,
        public string $by = 'year',
        public ?Quantity $left = null,
        public ?BigRational $room = null,
    ) {}

    /**
     * @param string|null $site word of the site where the job is
     * @param PriorApplications|null $before null where nothing was put there
     * @param list<Quantity> $together the same active per area from other products of the same tank
     * @param Quantity|null $ofUse most product per area that the card's line of this use allows, where the mix is not
     *     made by it
     */
    public static function check(
        LabelLoad $load,
        ?string $site,
        ?PriorApplications $before = null,
        array $together = [],
        ?Quantity $ofUse = null,
    ): self {
        $limits = $load->card->limits($site, $load->active);
        if (array_filter($limits, static fn(LabelLimit $l): bool => $l->perYear === null) !== []) {
            return new self(null, null, null, 'card-yearly-maximum');
        }
        $rate = $load->rate();
        if ($rate === null) {
            return new self(null, $limits[0]->perYear, null, 'treated-area');
        }
        $before ??= new PriorApplications();
        $all = array_merge(
            ...array_map(
                static fn(LabelLimit $limit): array => self::held($limit, $load, $rate, $before, $together),
                $limits,
            ),
        );
        $ofUse === null || ($all[] = self::against($ofUse, 'application', $load, $rate, []));

        return array_reduce(
            array_slice($all, 1),
            static fn(self $worst, self $one): self => $worst->orWorse($one),
            $all[0],
        );
    }

    /** The one that decides: what is passed, then what cannot be told, then the year; of the same kind the fuller. */
    public function orWorse(self $other): self
    {
        $worse =
            $this->rank() === $other->rank()
                ? $other->fullness()?->isGreaterThan($this->fullness() ?? 0) === true
                : $other->rank() < $this->rank();
        $one = $worse ? $other : $this;
        $rooms = array_filter([$this->room, $other->room]);

        return new self(
            $one->planned,
            $one->most,
            $one->kept,
            $one->missing,
            $one->by,
            $one->left,
            $rooms === [] ? null : BigRational::min(...$rooms),
        );
    }

    /** Share of the limit that is used up; null where there is none to be told. */
    private function fullness(): ?BigRational
    {
        return $this->planned === null || $this->most === null || $this->most->isZero()
            ? null
            : $this->planned->per($this->most);
    }

    /**
     * Active in an amount of product per area, in the basis of the card.
     *
     * @return Quantity|null null where the card's strength has no basis that can be added up
     */
    public static function activePerArea(
        LabelCard $card,
        string $activeId,
        Quantity $product,
        Quantity $area,
    ): ?Quantity {
        return $area->amount->isPositive() ? $card->activeIn($activeId, self::productPerArea($product, $area)) : null;
    }

    private function rank(): int
    {
        return match (true) {
            $this->kept === false => 0,
            $this->kept === null => 1,
            $this->by === 'year' => 2,
            default => 3,
        };
    }

    /**
     * @param list<Quantity> $together
     *
     * @return list<self>
     */
    private static function held(
        LabelLimit $limit,
        LabelLoad $load,
        Quantity $rate,
        PriorApplications $before,
        array $together,
    ): array {
        $perYear = $limit->perYear ?? throw new \LogicException('checked above');
        $out = [self::against($perYear, 'year', $load, $rate, [...$before->loads($limit->year), ...$together])];
        if ($limit->perApplication !== null) {
            $out[] = self::against($limit->perApplication, 'application', $load, $rate, $together);
        }
        if ($limit->applications !== null && $before->times($limit->year) >= $limit->applications) {
            $out[] = new self(
                Quantity::of($before->times($limit->year) + 1, Unit::One),
                Quantity::of($limit->applications, Unit::One),
                false,
                null,
                'times',
            );
        }

        return $out;
    }

    /** @param list<Quantity> $more per area, that count into the same limit */
    private static function against(Quantity $most, string $by, LabelLoad $load, Quantity $rate, array $more): self
    {
        $same = static fn(Dimension $kind): bool => array_filter(
            $more,
            static fn(Quantity $q): bool => $q->dimension() !== $kind,
        ) === [];
        $own =
            $most->dimension() === $rate->dimension() && $same($rate->dimension())
                ? $rate
                : $load->card->activeIn($load->active, $rate);
        $limit =
            $own === null || $own->dimension() === $most->dimension()
                ? $most
                : $load->card->activeIn($load->active, $most);
        if (
            $own === null ||
            $limit === null ||
            $own->dimension() !== $limit->dimension() ||
            !$same($own->dimension())
        ) {
            return new self(null, $most, null, 'card-strength-basis', $by);
        }
        $rest = array_reduce(
            $more,
            static fn(Quantity $left, Quantity $one): Quantity => $left->minus($one->to($left->unit)),
            $limit,
        );
        $planned = array_reduce(
            $more,
            static fn(Quantity $sum, Quantity $one): Quantity => $sum->plus($one->to($sum->unit)),
            $own,
        );
        $left = match (true) {
            !$rest->amount->isPositive() => Quantity::zero($load->product->unit),
            $own->isZero() => null,
            default => $load->product->times($rest->per($own)),
        };

        // with what is there already in the sum too, the factor is on the safe side
        return new self(
            $planned,
            $limit,
            !$planned->isGreaterThan($limit),
            null,
            $by,
            $by === 'year' ? $left : null,
            $planned->isZero() ? null : $limit->per($planned),
        );
    }

    /** Product per area: litres or grams per hectare. */
    public static function productPerArea(Quantity $product, Quantity $area): Quantity
    {
        $hectares = $area->in(Unit::Hectare);

        return $product->dimension() === Dimension::Mass
            ? Quantity::of($product->in(Unit::Gram)->dividedBy($hectares), Unit::GramPerHectare)
            : Quantity::of($product->in(Unit::Litre)->dividedBy($hectares), Unit::LitrePerHectare);
    }
}
