<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Counts in sample plots: size classes across, plots down. A plot is a circle, or a frame given by its area
 * (seedlings); one cut by the edge gives the area inside. The class totals, raised to the whole patch, serve as its
 * estimated tally.
 */
final readonly class PlotTally
{
    public const MOST_CLASSES = 12;
    private const LARGEST_RADIUS_METRES = 50;

    /**
     * @param list<StemGroup> $classes each with a count of one, to be raised
     * @param list<list<int>> $counts plots by classes
     * @param list<Quantity> $areas area counted in each plot
     */
    private function __construct(private array $classes, public array $counts, public array $areas) {}

    /**
     * Reads {radius | frame, classes: [{from, below | diameter, stemsPerClump?}], plots: [{counts: [..], inside?}]};
     * classes may be empty for plain counts (seedlings), each plot then has one count. Faults are noted in the fields.
     *
     * @param \Closure(Fields): (StemGroup|null) $readClass reads a tally row that has no count
     */
    public static function read(Fields $in, \Closure $readClass): ?self
    {
        $radius = $in->quantityOrNull('radius', Dimension::Length);
        $frame = $in->quantityOrNull('frame', Dimension::Area);
        if (($radius === null) === ($frame === null)) {
            $in->fault('radius', 'Give the radius of round plots, or the area of a frame.');
        }
        if (
            $radius !== null &&
            ($radius->isZero() || $radius->in(Unit::Metre)->isGreaterThan(self::LARGEST_RADIUS_METRES))
        ) {
            $in->fault('radius', 'A plot has a radius above nought and at most ' . self::LARGEST_RADIUS_METRES . ' m.');
            $radius = null;
        }
        if ($frame !== null && ($frame->isZero() || $frame->isGreaterThan(Quantity::of('100', Unit::SquareMetre)))) {
            $in->fault('frame', 'A frame has an area above nought and at most 100 m².');
            $frame = null;
        }
        $whole =
            $frame ??
            ($radius === null
                ? null
                : Quantity::of(
                    \Thicket\Measure\Pi::value()->multipliedBy($radius->in(Unit::Metre)->power(2)),
                    Unit::SquareMetre,
                ));
        $given = $in->objects('classes', self::MOST_CLASSES);
        $classes = array_values(array_filter(array_map($readClass, $given)));
        [$counts, $areas] = [[], []];
        foreach ($in->objects('plots', PlotPlan::MOST_PLOTS, true) as $plot) {
            $counts[] = self::counts($plot, max(1, count($given)));
            $inside = $plot->quantityOrNull('inside', Dimension::Area);
            if (
                $inside !== null &&
                $whole !== null &&
                ($inside->isZero() || $inside->isGreaterThan($whole->times('1.001')))
            ) {
                $plot->fault('inside', 'The part inside is more than nothing and not more than the plot.');
            }
            $inside ??= $whole;
            $inside === null || ($areas[] = $inside);
            $plot->has('position') && Positions::read($plot, 'position');
            $plot->noOthers();
        }
        if (
            $whole === null ||
            $counts === [] ||
            count($areas) !== count($counts) ||
            count($classes) !== count($given)
        ) {
            return null;
        }

        return new self($classes, $counts, $areas);
    }

    /** All classes together. @param Quantity|null $area of the patch or zone */
    public function estimate(?Quantity $area): Estimate
    {
        return $this->estimateOf(array_map(static fn(array $row): int => (int) array_sum($row), $this->counts), $area);
    }

    /**
     * The sample raised to the whole area as stem groups, each class rounded up and marked as an estimate; none without
     * an area or without classes.
     *
     * @return list<StemGroup>
     */
    public function raised(?Quantity $area): array
    {
        if ($area === null) {
            return [];
        }
        $sampled = BigRational::zero();
        foreach ($this->areas as $plot) {
            $sampled = $sampled->plus($plot->in(Unit::SquareMetre));
        }
        $out = [];
        foreach ($this->classes as $i => $class) {
            $count = BigRational::of(array_sum(array_column($this->counts, $i)))
                ->multipliedBy($area->in(Unit::SquareMetre))
                ->dividedBy($sampled)
                ->toScale(0, RoundingMode::UP)
                ->toInt();
            $count === 0 || ($out[] = $class->estimatedAs($count));
        }

        return $out;
    }

    /** @param list<int> $counts */
    private function estimateOf(array $counts, ?Quantity $area): Estimate
    {
        return Estimate::ofPlots(
            array_map(floatval(...), $counts),
            array_map(static fn(Quantity $q): float => $q->in(Unit::SquareMetre)->toFloat(), $this->areas),
            $area?->in(Unit::SquareMetre)->toFloat(),
        );
    }

    /** @return list<int> */
    private static function counts(Fields $plot, int $classes): array
    {
        $raw = $plot->raw('counts');
        $sound =
            is_array($raw) &&
            count($raw) === $classes &&
            array_filter($raw, static fn(mixed $n): bool => !is_int($n) || $n < 0 || $n > 100_000) === [];
        if (!$sound || !is_array($raw)) {
            $plot->fault('counts', "Give {$classes} whole number(s), nought where nothing stood.");

            return array_fill(0, $classes, 0);
        }

        return array_map(static fn(mixed $n): int => is_int($n) ? $n : 0, array_values($raw));
    }
}
