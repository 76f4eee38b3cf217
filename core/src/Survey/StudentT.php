<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * Quantiles of the t distribution, for intervals from few plots, found by halving. Floats; good to 1e-9.
 */
final class StudentT
{
    private function __construct() {}

    /**
     * The t that a share of the distribution lies below.
     *
     * @param float $share above 0.5, below 1: 0.95 for a two-sided 90 % interval
     * @param float $freedom degrees of freedom, above nought; need not be whole
     */
    public static function quantile(float $share, float $freedom): float
    {
        if ($share <= 0.5 || $share >= 1 || $freedom <= 0) {
            throw new \InvalidArgumentException(
                'The share lies between a half and one, degrees of freedom above nought.',
            );
        }
        [$low, $high] = [0.0, 1.0];
        while (self::below($high, $freedom) < $share) {
            $high *= 2;
        }
        for ($i = 0; $i < 100 && $high - $low > 1e-12 * $high; ++$i) {
            $middle = ($low + $high) / 2;
            self::below($middle, $freedom) < $share ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    /** Share of the distribution below a t of nought or more. */
    private static function below(float $t, float $freedom): float
    {
        return 1 - IncompleteBeta::below($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }
}
