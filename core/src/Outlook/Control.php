<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Survey\IncompleteBeta;

/**
 * Share of treated plants that one competent pass kills to the root, as a beta distribution: what is expected before
 * anybody looked, then what the crew's own look-backs add. Plants of one job fare alike (same day, same hands, same
 * weather), so a look-back of n plants weighs as n / (1 + (n - 1) rho) of them (Kish 1965, the design effect).
 */
final readonly class Control
{
    private function __construct(public float $a, public float $b, public int $jobs) {}

    /** By the mean and spread of low, use, high (as the planners' three-point estimate has them, Malcolm 1959). */
    public static function expected(Span $span): self
    {
        $mean = min(0.999, max(0.001, ($span->low + 4 * $span->use + $span->high) / 6));
        $spread = max(0.01, ($span->high - $span->low) / 6);
        // no wider than a share can be
        $weight = max(1.0, ($mean * (1 - $mean)) / $spread ** 2 - 1);

        return new self($mean * $weight, (1 - $mean) * $weight, 0);
    }

    /**
     * @param list<array{dead: int, counted: int}> $looks scored look-backs of the same way on the same kind of plant
     * @param float $alike how much alike plants of one job fare, 0 to 1
     */
    public function seen(array $looks, float $alike): self
    {
        [$a, $b] = [$this->a, $this->b];
        foreach ($looks as ['dead' => $dead, 'counted' => $counted]) {
            $counts = $counted < 1 ? 0.0 : 1 / (1 + ($counted - 1) * $alike);
            $a += $dead * $counts;
            $b += ($counted - $dead) * $counts;
        }

        return new self($a, $b, $this->jobs + count($looks));
    }

    public function mean(): float
    {
        return $this->a / ($this->a + $this->b);
    }

    /** @return array{low: float, high: float} between what it lies with that certainty */
    public function interval(float $level): array
    {
        return [
            'low' => IncompleteBeta::quantile((1 - $level) / 2, $this->a, $this->b),
            'high' => IncompleteBeta::quantile((1 + $level) / 2, $this->a, $this->b),
        ];
    }
}
