<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Node;
use Thicket\Measure\Unit;

/**
 * The six figures of a row and what each adds to its place: no hidden score, the figures are the explanation (rulings
 * B26). Scales are fixed, so that adding or hiding a row swaps no others.
 */
final readonly class Weighing
{
    /**
     * @param list<array{measure: string, figure: BigRational|null, points: BigRational, weight: int}> $shares points is
     *     weight times how good the figure is, 0 to the weight; figure is null where nobody knows it
     * @param BigRational $total 0 to 100, higher comes first
     */
    private function __construct(public array $shares, public BigRational $total) {}

    public static function of(Measures $measures, Weights $weights, Catalogue $catalogue): self
    {
        $figures = [
            'control' => self::whole($measures->controlLow),
            'harm' => self::whole($measures->harm),
            'money' => $measures->money?->perHectare?->multipliedBy($measures->passes->count),
            'hours' => $measures->passes->hours($measures->labour->total())?->in(Unit::Hour),
            'speed' => self::whole($measures->weeksToEnd),
            'keep-injury' => self::whole($measures->keepInjury),
        ];
        $shares = [];
        $total = BigRational::zero();
        foreach ($catalogue->weighing() as $scale) {
            $measure = $scale->string('id');
            $points = self::goodness($figures[$measure] ?? null, $scale)->multipliedBy($weights->parts[$measure] ?? 0);
            $shares[] = [
                'measure' => $measure,
                'figure' => $figures[$measure] ?? null,
                'points' => $points,
                'weight' => $weights->parts[$measure] ?? 0,
            ];
            $total = $total->plus($points);
        }

        return new self($shares, $total);
    }

    private static function whole(?int $value): ?BigRational
    {
        return $value === null ? null : BigRational::of($value);
    }

    /** 0 at the bad end and beyond, and where nobody knows; 1 at the good end and beyond. */
    private static function goodness(?BigRational $figure, Node $scale): BigRational
    {
        if ($figure === null) {
            return BigRational::zero();
        }
        $bad = BigRational::of($scale->string('bad'));
        $part = $figure->minus($bad)->dividedBy(BigRational::of($scale->string('good'))->minus($bad));

        return match (true) {
            $part->isNegative() => BigRational::zero(),
            $part->isGreaterThan(1) => BigRational::one(),
            default => $part,
        };
    }
}
