<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How much of what was counted is dead to the root: what a look-back is judged by (handbook 7). */
final readonly class RootKill
{
    /** @return int|null percent, rounded half up; null where nothing was counted */
    public static function percent(int $dead, int $counted): ?int
    {
        return $counted < 1
            ? null
            : BigRational::of($dead)
                ->multipliedBy(100)
                ->dividedBy($counted)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt();
    }

    /**
     * Between what the true share lies, the exact way (Clopper and Pearson 1934: the shares at which so many dead, or
     * so few, would just still be no surprise). It is never narrower than it says, which suits who might stop too soon.
     *
     * @param float $level 0.9: of ten such intervals nine hold the true share, at the least
     *
     * @return array{low: float, high: float} shares; all that can be where nothing was counted
     */
    public static function interval(int $dead, int $counted, float $level): array
    {
        $tail = (1 - $level) / 2;

        return [
            'low' => $dead < 1 ? 0.0 : IncompleteBeta::quantile($tail, $dead, $counted - $dead + 1),
            'high' => $dead >= $counted ? 1.0 : IncompleteBeta::quantile(1 - $tail, $dead + 1, $counted - $dead),
        ];
    }

    /**
     * The same over plots whose plants fare alike: as many plants count as would tell as much if each fared for itself
     * (ratio estimate of Cochran 1977, effective number in the exact interval by Korn and Graubard 1998).
     *
     * @param list<array{dead: int, counted: int}> $plots
     *
     * @return array{low: float, high: float} shares
     */
    public static function overPlots(array $plots, float $level): array
    {
        $dead = array_sum(array_column($plots, 'dead'));
        $counted = array_sum(array_column($plots, 'counted'));
        $share = $counted < 1 ? 0.0 : $dead / $counted;
        $alone = $counted < 1 ? 0.0 : ($share * (1 - $share)) / $counted;
        $k = count($plots);
        if ($k < 2 || $alone <= 0) {
            return self::interval((int) $dead, (int) $counted, $level);
        }
        $apart = 0.0;
        foreach ($plots as $plot) {
            $apart += ($plot['dead'] - $share * $plot['counted']) ** 2;
        }
        $variance = (($k / ($k - 1)) * $apart) / $counted ** 2;
        $counts = $counted / max(1.0, $variance / $alone);
        $tail = (1 - $level) / 2;

        return [
            'low' => IncompleteBeta::quantile($tail, $share * $counts, $counts - $share * $counts + 1),
            'high' => IncompleteBeta::quantile(1 - $tail, $share * $counts + 1, $counts - $share * $counts),
        ];
    }
}
