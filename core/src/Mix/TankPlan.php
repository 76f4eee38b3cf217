<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Load by load: what is left from before goes in first, several people fill their own tanks side by side, and the last
 * part-load is mixed to need, so that nothing is left over (handbook 3, sum 8; rulings J10 say when a leftover may
 * join).
 */
final readonly class TankPlan
{
    /** @param Quantity $leftover of the very same mix; in the unit of the total, as the tank is */
    private function __construct(
        public Quantity $total,
        public Quantity $tank,
        public Quantity $leftover,
        public int $people,
    ) {}

    /**
     * @param Quantity $total finished mix for the job
     * @param Quantity|null $leftover of the very same mix
     * @param int $people who each carry such a tank
     *
     * @throws \InvalidArgumentException when the tank holds nothing or nobody carries
     */
    public static function of(Quantity $total, Quantity $tank, ?Quantity $leftover = null, int $people = 1): self
    {
        if (!$tank->amount->isPositive() || $people < 1) {
            throw new \InvalidArgumentException('A tank holds more than nothing, and somebody carries it.');
        }

        return new self(
            $total,
            $tank->to($total->unit),
            $leftover?->to($total->unit) ?? Quantity::zero($total->unit),
            $people,
        );
    }

    /**
     * The loads in order, laid out one by one.
     *
     * @param int|null $most the first so many; null for all
     *
     * @return list<array{person: int, round: int, finished: Quantity, carried: Quantity, fresh: Quantity,
     *     doneAfter: BigRational}> doneAfter is the share of the job that is done when this round is empty
     */
    public function loads(?int $most = null): array
    {
        $carry = $this->leftover;
        $rest = $this->total;
        $done = Quantity::zero($this->total->unit);
        $loads = [];
        for ($round = 1; $rest->amount->isPositive() && ($most === null || count($loads) < $most); ++$round) {
            $filled = [];
            // an even share each of what is left, so that nobody stands while the other walks the last load
            $even = $rest->dividedBy($this->people);
            $each = $even->isLessThan($this->tank) ? $even : $this->tank;
            for ($person = 1; $person <= $this->people; ++$person) {
                $carried = $carry->isGreaterThan($each) ? $each : $carry;
                $carry = $carry->minus($carried);
                $rest = $rest->minus($each);
                $done = $done->plus($each);
                $filled[] = [
                    'person' => $person,
                    'round' => $round,
                    'finished' => $each,
                    'carried' => $carried,
                    'fresh' => $each->minus($carried),
                ];
            }
            foreach ($filled as $load) {
                $loads[] = $load + ['doneAfter' => $done->per($this->total)];
            }
        }

        return array_slice($loads, 0, $most);
    }

    /**
     * Each kind of load once, in the order in which they are filled.
     *
     * @return list<array{times: int, finished: Quantity, carried: Quantity, fresh: Quantity}>
     */
    public function kinds(): array
    {
        $kinds = [];
        foreach ($this->loads() as ['finished' => $finished, 'carried' => $carried, 'fresh' => $fresh]) {
            $key = "{$finished->amount} {$carried->amount}";
            $kinds[$key] = [
                'times' => ($kinds[$key]['times'] ?? 0) + 1,
                'finished' => $finished,
                'carried' => $carried,
                'fresh' => $fresh,
            ];
        }

        return array_values($kinds);
    }

    /** How many loads there are: everybody fills in every round, the last to an even share. */
    public function count(): int
    {
        return $this->rounds() * $this->people;
    }

    /** Tanks filled full. */
    public function whole(): int
    {
        return $this->aRound(RoundingMode::DOWN) * $this->people;
    }

    /** What each fills in the last round, mixed to need; null where those tanks are full too. */
    public function lastPart(): ?Quantity
    {
        $rest = $this->total->minus($this->tank->times($this->whole()));

        return $rest->isZero() ? null : $rest->dividedBy($this->people);
    }

    /** @return list<array{times: int, finished: Quantity}> so many full tanks, and the last part */
    public function fills(): array
    {
        $part = $this->lastPart();

        return [
            ...$this->whole() === 0 ? [] : [['times' => $this->whole(), 'finished' => $this->tank]],
            ...$part === null ? [] : [['times' => $this->people, 'finished' => $part]],
        ];
    }

    public function rounds(): int
    {
        return $this->aRound(RoundingMode::CEILING);
    }

    /** Mix that has to be made fresh. */
    public function fresh(): Quantity
    {
        $fresh = $this->total->minus($this->leftover);

        return $fresh->isNegative() ? Quantity::zero($this->total->unit) : $fresh;
    }

    /** How often all tanks together go into the whole. */
    private function aRound(RoundingMode $rounding): int
    {
        return $this->total->per($this->tank->times($this->people))->toScale(0, $rounding)->toInt();
    }

    /** Weight of that much water on the back or the truck: a kilogram a litre. */
    public static function weightOfWater(Quantity $water): Quantity
    {
        return Quantity::of($water->in(Unit::Litre), Unit::Kilogram);
    }
}
