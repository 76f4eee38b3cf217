<?php

declare(strict_types=1);

namespace Thicket\Programmes;

use Thicket\Catalogue\Programme;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Outcome;

/**
 * A programme laid out for one stand: every job with its days, whether it can be done as things are, years and hours.
 */
final readonly class Offer
{
    public Outcome $outcome;

    /**
     * @param list<PlannedStep> $steps by their first day
     * @param array{int, int} $years of work and patrols, shortest and longest
     * @param bool $openEnded the seed lasts longer than any plan, or nobody knows how long (rulings J23)
     */
    public function __construct(
        public Programme $programme,
        public array $steps,
        public array $years,
        public bool $openEnded,
    ) {
        $worst = Outcome::Fits;
        foreach ($steps as $step) {
            $worst = !$step->optional && $step->outcome->isWorseThan($worst) ? $step->outcome : $worst;
        }
        $this->outcome = $worst;
    }

    public function canBeDone(): bool
    {
        return !in_array($this->outcome, [Outcome::NotAllowed, Outcome::DoesNotSuit], true);
    }

    /**
     * @return array{low: Quantity, use: Quantity, high: Quantity, unreckoned: int} hours over all steps; those that
     * cannot be reckoned are counted, not guessed
     */
    public function hours(): array
    {
        $sum = [Quantity::zero(Unit::Hour), Quantity::zero(Unit::Hour), Quantity::zero(Unit::Hour)];
        $unreckoned = 0;
        foreach ($this->steps as $step) {
            if ($step->hours === null) {
                ++$unreckoned;
                continue;
            }
            foreach ($sum as $i => $one) {
                // what came back is at most what was there, and may be little
                $sum[$i] = $i === 0 && $step->afterwards ? $one : $one->plus($step->hours[$i]);
            }
        }

        return ['low' => $sum[0], 'use' => $sum[1], 'high' => $sum[2], 'unreckoned' => $unreckoned];
    }
}
