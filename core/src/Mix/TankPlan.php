<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Load by load: what is left from before goes in first, several people fill their own tanks side by side, and the last
 * part-load is mixed to need, so that nothing is left over (handbook 3, sum 8; rulings J10 say when a leftover may
 * join).
 */
final readonly class TankPlan
{
    /**
     * @param list<array{person: int, round: int, finished: Quantity, carried: Quantity, fresh: Quantity,
     *     doneAfter: BigRational}> $loads in order; doneAfter is the share of the job
     *        that is done when this round is empty
     */
    private function __construct(
        public Quantity $total,
        public Quantity $tank,
        public int $people,
        public array $loads,
    ) {}

    /**
     * @param Quantity $total finished mix for the job, @param Quantity|null $leftover of the very same mix, @param int
     *     $people who each carry such a tank
     *
     * @throws \InvalidArgumentException when the tank holds nothing or nobody carries
     */
    public static function of(Quantity $total, Quantity $tank, ?Quantity $leftover = null, int $people = 1): self
    {
        if (!$tank->amount->isPositive() || $people < 1) {
            throw new \InvalidArgumentException('A tank holds more than nothing, and somebody carries it.');
        }
        $tank = $tank->to($total->unit);
        $carry = $leftover?->to($total->unit) ?? Quantity::zero($total->unit);
        $rest = $total;
        $done = Quantity::zero($total->unit);
        $loads = [];
        for ($round = 1; $rest->amount->isPositive(); ++$round) {
            $filled = [];
            // an even share each of what is left, so that nobody stands while the other walks the last load
            $even = $rest->dividedBy($people);
            $each = $even->isLessThan($tank) ? $even : $tank;
            for ($person = 1; $person <= $people && $rest->amount->isPositive(); ++$person) {
                $finished = $each->isGreaterThan($rest) ? $rest : $each;
                $carried = $carry->isGreaterThan($finished) ? $finished : $carry;
                $carry = $carry->minus($carried);
                $rest = $rest->minus($finished);
                $done = $done->plus($finished);
                $filled[] = [
                    'person' => $person,
                    'round' => $round,
                    'finished' => $finished,
                    'carried' => $carried,
                    'fresh' => $finished->minus($carried),
                ];
            }
            foreach ($filled as $load) {
                $loads[] = $load + ['doneAfter' => $done->per($total)];
            }
        }

        return new self($total, $tank, $people, $loads);
    }

    public function rounds(): int
    {
        return $this->loads === [] ? 0 : $this->loads[count($this->loads) - 1]['round'];
    }

    /** Mix that has to be made fresh. */
    public function fresh(): Quantity
    {
        return array_reduce(
            $this->loads,
            static fn(Quantity $sum, array $load): Quantity => $sum->plus($load['fresh']),
            Quantity::zero($this->total->unit),
        );
    }

    /** Weight of that much water on the back or the truck: a kilogram a litre. */
    public static function weightOfWater(Quantity $water): Quantity
    {
        return Quantity::of($water->in(Unit::Litre), Unit::Kilogram);
    }
}
