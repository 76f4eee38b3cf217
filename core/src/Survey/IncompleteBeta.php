<?php

declare(strict_types=1);

namespace Thicket\Survey;

/** The regularised incomplete beta function by its continued fraction (textbook form), and its inverse. Floats. */
final class IncompleteBeta
{
    private const TINY = 1e-300;
    private const MOST_TERMS = 500;

    private function __construct() {}

    /** The x that a share of the beta distribution lies below, found by halving; good to 1e-12. */
    public static function quantile(float $share, float $a, float $b): float
    {
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < 100 && $high - $low > 1e-13; ++$i) {
            $middle = ($low + $high) / 2;
            self::below($middle, $a, $b) < $share ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    /** Share of the beta distribution below x. */
    public static function below(float $x, float $a, float $b): float
    {
        if ($x <= 0 || $x >= 1) {
            return $x <= 0 ? 0.0 : 1.0;
        }
        // the fraction converges fast on one side of the mean only; on the other, the mirrored one does
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::below(1 - $x, $b, $a);
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
