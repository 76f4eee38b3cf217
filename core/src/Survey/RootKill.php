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
}
