<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Unit;

/**
 * The six figures of a row and what each adds to its place: no hidden score, the figures are the explanation (rulings
 * B26). Scales are fixed, so that adding or hiding a row swaps no others.
 *
 * The order is sought in floats, and in exact sums where two rows lie so near that a float could err.
 */
final class Weighing
{
    /** Totals of 0 to 100 that lie further apart are told by floats. */
    private const SURE = 1e-6;

    /** 0 to 100, to the precision of a float. */
    private readonly float $about;

    private ?BigRational $total = null;

    private function __construct(
        private readonly Criteria $measures,
        private readonly Weights $weights,
        private readonly Catalogue $catalogue,
    ) {
        $about = 0.0;
        foreach ($catalogue->weighing() as $scale) {
            $weight = $weights->parts[$scale->measure] ?? 0;
            $about += $weight * $scale->about(self::roughly($scale->measure, $measures));
        }
        $this->about = $about;
    }

    public static function of(Criteria $measures, Weights $weights, Catalogue $catalogue): self
    {
        return new self($measures, $weights, $catalogue);
    }

    /**
     * @return list<array{measure: string, figure: BigRational|null, points: BigRational, weight: int}> points is weight
     *     times how good the figure is, 0 to the weight; figure is null where nobody knows it
     */
    public function shares(): array
    {
        $shares = [];
        foreach ($this->catalogue->weighing() as $scale) {
            $weight = $this->weights->parts[$scale->measure] ?? 0;
            $figure = self::figure($scale->measure, $this->measures);
            $shares[] = [
                'measure' => $scale->measure,
                'figure' => $figure,
                'points' => $scale->goodness($figure)->multipliedBy($weight),
                'weight' => $weight,
            ];
        }

        return $shares;
    }

    /** 0 to 100, higher comes first. */
    public function total(): BigRational
    {
        return $this->total ??= array_reduce(
            array_column($this->shares(), 'points'),
            static fn(BigRational $total, BigRational $points): BigRational => $total->plus($points),
            BigRational::zero(),
        );
    }

    /** -1, 0 or 1 as the total of this is less, the same or more. */
    public function compareTo(self $other): int
    {
        return match (true) {
            abs($this->about - $other->about) > self::SURE => $this->about <=> $other->about,
            $this->hasFiguresOf($other) => 0,
            default => $this->total()->compareTo($other->total()),
        };
    }

    /** Rows of one method often have the very same figures. */
    private function hasFiguresOf(self $other): bool
    {
        [$mine, $its] = [$this->measures, $other->measures];
        $wholes = static fn(Criteria $m): array => [
            $m->controlLow,
            $m->harm,
            $m->weeksToEnd,
            $m->keepInjury,
            $m->passes->count,
        ];

        return $mine->money === null &&
            $its->money === null &&
            $mine->labour === $its->labour &&
            $wholes($mine) === $wholes($its) &&
            $this->weights->parts === $other->weights->parts;
    }

    /** The figure of a measure, in the unit of its scale; null where nobody knows it. */
    private static function figure(string $measure, Criteria $measures): ?BigRational
    {
        $whole = self::whole($measure, $measures);

        return match ($measure) {
            'money' => $measures->money?->perHectare?->multipliedBy($measures->passes->count),
            'hours' => $measures->passes->hours($measures->labour->total())?->in(Unit::Hour),
            default => $whole === null ? null : BigRational::of($whole),
        };
    }

    private static function roughly(string $measure, Criteria $measures): ?float
    {
        $passes = $measures->passes->count;

        return match ($measure) {
            'money' => self::times($measures->money?->perHectare?->toFloat(), $passes),
            'hours' => self::times($measures->labour->total()?->float(Unit::Hour), $passes),
            default => self::whole($measure, $measures),
        };
    }

    private static function times(?float $one, int $passes): ?float
    {
        return $one === null ? null : $one * $passes;
    }

    private static function whole(string $measure, Criteria $measures): ?int
    {
        return match ($measure) {
            'control' => $measures->controlLow,
            'harm' => $measures->harm,
            'speed' => $measures->weeksToEnd,
            'keep-injury' => $measures->keepInjury,
            default => null,
        };
    }
}
