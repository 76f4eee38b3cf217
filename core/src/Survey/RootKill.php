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
}
