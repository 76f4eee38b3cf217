<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * Quantiles of the t distribution, for intervals from few plots. The distribution function is the incomplete beta
 * function by its continued fraction (textbook form); the quantile is found by halving. Floats; good to 1e-9.
 */
final class StudentT
{
    private const TINY = 1e-300;
    private const MOST_TERMS = 500;

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
        return 1 - self::incompleteBeta($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }

    private static function incompleteBeta(float $x, float $a, float $b): float
    {
        if ($x <= 0 || $x >= 1) {
            return $x <= 0 ? 0.0 : 1.0;
        }
        // the fraction converges fast on one side of the mean only; on the other, the mirrored one does
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::incompleteBeta(1 - $x, $b, $a);
        }
        $front =
            exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log(1 - $x)) /
            $a;
        [$c, $d] = [1.0, 1 / (1 - (($a + $b) * $x) / ($a + 1))];
        $fraction = $d;
        for ($m = 1; $m <= self::MOST_TERMS; ++$m) {
            $before = $fraction;
            foreach (
                [
                    ($m * ($b - $m) * $x) / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                    (-($a + $m) * ($a + $b + $m) * $x) / (($a + 2 * $m) * ($a + 2 * $m + 1)),
                ]
                as $term
            ) {
                $d = 1 / self::notNought(1 + $term * $d);
                $c = self::notNought(1 + $term / $c);
                $fraction *= $c * $d;
            }
            if (abs($fraction - $before) < 1e-15 * abs($fraction)) {
                break;
            }
        }

        return $front * $fraction;
    }

    private static function notNought(float $value): float
    {
        return abs($value) < self::TINY ? self::TINY : $value;
    }

    /** Natural logarithm of the gamma function: raised above ten by its recurrence, then the asymptotic series. */
    private static function logGamma(float $x): float
    {
        $shift = 0.0;
        for (; $x < 10; ++$x) {
            $shift += log($x);
        }
        $inverse = 1 / ($x * $x);
        $series =
            (1 / 12 - $inverse * (1 / 360 - $inverse * (1 / 1260 - $inverse * (1 / 1680 - $inverse / 1188)))) / $x;

        return ($x - 0.5) * log($x) - $x + log(2 * M_PI) / 2 + $series - $shift;
    }
}
