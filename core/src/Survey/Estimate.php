<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * What sample plots say of a whole area: mean per square metre, its standard error, a two-sided 90 % interval, and how
 * many plots a wanted precision still needs. Floats by nature of statistics.
 *
 * With plots of one size this is the plain mean and its standard error s / sqrt(n). Plots cut by the edge count with
 * the area that lies inside: the ratio of sums, with the residuals y - R a in place of the deviations.
 */
final readonly class Estimate
{
    public const SHARE = 0.9;
    private const MOST_PLOTS = 10_000;

    private function __construct(
        public int $plots,
        /** Counted per square metre. */
        public float $mean,
        /** Null from a single plot: nothing is known of the spread. */
        public ?float $standardError,
        public ?float $freedom,
        /** Square metres the estimate is for. */
        public ?float $area,
        /** Spread of one plot as a share of the mean; null where nothing was found or one plot stands alone. */
        public ?float $variation,
    ) {}

    /**
     * @param list<float> $counts one a plot
     * @param list<float> $areas square metres counted in each plot
     * @param float|null $area square metres of the patch or zone
     */
    public static function ofPlots(array $counts, array $areas, ?float $area): self
    {
        $n = count($counts);
        if ($n === 0 || $n !== count($areas) || min($areas) <= 0) {
            throw new \InvalidArgumentException('Every plot has a count and an area above nought.');
        }
        $mean = array_sum($counts) / array_sum($areas);
        if ($n === 1) {
            return new self(1, $mean, null, null, $area, null);
        }
        $squares = 0.0;
        foreach ($counts as $i => $count) {
            $squares += ($count - $mean * $areas[$i]) ** 2;
        }
        $spread = sqrt($squares / ($n - 1));
        $perPlot = array_sum($counts) / $n;

        return new self(
            $n,
            $mean,
            $spread / sqrt($n) / (array_sum($areas) / $n),
            $n - 1,
            $area,
            $perPlot > 0 ? $spread / $perPlot : null,
        );
    }

    /**
     * Zones sampled apart: totals and variances add up; the degrees of freedom are those of a weighted sum of
     * variances.
     *
     * @param list<self> $zones each with its area
     */
    public static function ofZones(array $zones): self
    {
        $area = $total = $variance = $byFreedom = 0.0;
        $unknown = false;
        foreach ($zones as $zone) {
            if ($zone->area === null || $zone->area <= 0) {
                throw new \InvalidArgumentException('Every zone needs its area.');
            }
            $area += $zone->area;
            $total += $zone->area * $zone->mean;
            if ($zone->standardError === null || $zone->freedom === null) {
                $unknown = true;
                continue;
            }
            $own = ($zone->area * $zone->standardError) ** 2;
            $variance += $own;
            $byFreedom += ($own * $own) / $zone->freedom;
        }
        $plots = array_sum(array_map(static fn(self $z): int => $z->plots, $zones));
        $freedom = $byFreedom > 0 ? ($variance * $variance) / $byFreedom : (float) max(1, $plots - count($zones));

        return new self(
            $plots,
            $total / $area,
            $unknown ? null : sqrt($variance) / $area,
            $unknown ? null : $freedom,
            $area,
            null,
        );
    }

    /** Half the width of the 90 % interval, per square metre. */
    public function halfWidth(): ?float
    {
        return $this->standardError === null || $this->freedom === null
            ? null
            : StudentT::quantile((1 + self::SHARE) / 2, $this->freedom) * $this->standardError;
    }

    /** @return array{float, float}|null per square metre; nothing grows less than nought times */
    public function interval(): ?array
    {
        $half = $this->halfWidth();

        return $half === null ? null : [max(0.0, $this->mean - $half), $this->mean + $half];
    }

    public function total(): ?float
    {
        return $this->area === null ? null : $this->mean * $this->area;
    }

    /**
     * Plots in all for an interval no wider than this share of the mean to each side, from the spread seen so far; null
     * where nothing is known of the spread. At least two.
     */
    public function plotsFor(float $share): ?int
    {
        if ($this->variation === null) {
            return null;
        }
        for ($n = 2; $n < self::MOST_PLOTS; ++$n) {
            if ((StudentT::quantile((1 + self::SHARE) / 2, $n - 1) * $this->variation) / sqrt($n) <= $share) {
                return $n;
            }
        }

        return self::MOST_PLOTS;
    }

    public function plotsStillNeeded(float $share): ?int
    {
        $all = $this->plotsFor($share);

        return $all === null ? null : max(0, $all - $this->plots);
    }
}
