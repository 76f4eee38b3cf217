<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;

/** Whole tanks plus a last part-load mixed to need, so that nothing is left over (handbook 3, sum 8). */
final readonly class LoadPlan
{
    private function __construct(
        public Quantity $total,
        public Quantity $tank,
        public int $whole,
        public ?Quantity $lastPart,
    ) {}

    /** @throws \InvalidArgumentException when the tank holds nothing */
    public static function of(Quantity $total, Quantity $tank): self
    {
        if (!$tank->amount->isPositive()) {
            throw new \InvalidArgumentException('A tank holds more than nothing.');
        }
        $whole = $total->per($tank)->toScale(0, RoundingMode::DOWN)->toInt();
        $rest = $total->minus($tank->times($whole)->to($total->unit));

        return new self($total, $tank, $whole, $rest->isZero() ? null : $rest);
    }

    /** @return list<array{times: int, finished: Quantity}> so many full tanks, and the last part */
    public function fills(): array
    {
        return [
            ...$this->whole === 0 ? [] : [['times' => $this->whole, 'finished' => $this->tank->to($this->total->unit)]],
            ...$this->lastPart === null ? [] : [['times' => 1, 'finished' => $this->lastPart]],
        ];
    }

    public function loads(): int
    {
        return $this->whole + ($this->lastPart === null ? 0 : 1);
    }
}
