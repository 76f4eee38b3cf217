<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance with a seed: the same seed throws the same. Textbook ways, each named. */
final class Dice
{
    /** Below it the exact throw is cheap; above it the bell curve is as good as it. */
    private const EXACT_BELOW = 9.0;
    private const STEPS = 0x1f_ffff_ffff_ffff;

    private readonly Randomizer $random;
    private ?float $spare = null;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** Even between 0 and 1. */
    public function even(): float
    {
        return $this->random->getInt(0, self::STEPS) / self::STEPS;
    }

    /** By a triangle over low, use, high, of their logarithms where it is a matter of times: its inverse. */
    public function within(Span $span): float
    {
        return $span->isOfTimes()
            ? exp($this->triangle(log($span->low), log($span->use), log($span->high)))
            : $this->triangle($span->low, $span->use, $span->high);
    }

    private function triangle(float $low, float $use, float $high): float
    {
        $width = $high - $low;
        if ($width <= 0) {
            return $use;
        }
        $at = $this->even();

        return $at < ($use - $low) / $width
            ? $low + sqrt($at * $width * ($use - $low))
            : $high - sqrt((1 - $at) * $width * ($high - $use));
    }

    /** The bell curve of mean 0 and deviation 1 (Box and Muller 1958), two at a time. */
    public function bell(): float
    {
        if ($this->spare !== null) {
            [$told, $this->spare] = [$this->spare, null];

            return $told;
        }
        $far = sqrt(-2 * log(max($this->even(), 1e-300)));
        $turn = 2 * M_PI * $this->even();
        $this->spare = $far * sin($turn);

        return $far * cos($turn);
    }

    /** How many of so many, each with that chance: by its steps, or by the bell curve where they are many. */
    public function of(float $many, float $chance): float
    {
        if ($many <= 0 || $chance <= 0) {
            return 0.0;
        }
        if ($chance >= 1) {
            return $many;
        }
        if ($chance > 0.5) {
            return $many - $this->of($many, 1 - $chance);
        }
        $spread = $many * $chance * (1 - $chance);
        if ($spread > self::EXACT_BELOW) {
            return min($many, max(0.0, round($many * $chance + sqrt($spread) * $this->bell())));
        }
        $odds = $chance / (1 - $chance);
        $share = (1 - $chance) ** $many;
        $at = $this->even();
        for ($k = 0.0; $at > $share && $k < $many; ++$k) {
            $at -= $share;
            $share *= (($many - $k) / ($k + 1)) * $odds;
        }

        return $k;
    }

    /** How many, where so many come in the middle (Poisson), by its steps or the bell curve. */
    public function about(float $mean): float
    {
        if ($mean <= 0) {
            return 0.0;
        }
        if ($mean > self::EXACT_BELOW) {
            return max(0.0, round($mean + sqrt($mean) * $this->bell()));
        }
        $share = exp(-$mean);
        $at = $this->even();
        for ($k = 0.0; $at > $share && $share > 0; ++$k) {
            $at -= $share;
            $share *= $mean / ($k + 1);
        }

        return $k;
    }

    /** A share by the beta distribution: two gammas (Marsaglia and Tsang 2000). */
    public function share(float $a, float $b): float
    {
        $x = $this->gamma($a);

        return $x / ($x + $this->gamma($b));
    }

    private function gamma(float $shape): float
    {
        if ($shape < 1) {
            return $this->gamma($shape + 1) * max($this->even(), 1e-300) ** (1 / $shape);
        }
        $d = $shape - 1 / 3;
        $c = 1 / sqrt(9 * $d);
        do {
            $x = $this->bell();
            $v = (1 + $c * $x) ** 3;
        } while ($v <= 0 || log(max($this->even(), 1e-300)) >= 0.5 * $x * $x + $d - $d * $v + $d * log($v));

        return $d * $v;
    }
}
