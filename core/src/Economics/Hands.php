<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Brick\Math\BigRational;
use Thicket\Catalogue\LabourFigure;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** Minutes with hands on the plants, and which figures of the table they come of. */
final readonly class Hands
{
    /**
     * @param array{Quantity, Quantity, Quantity} $minutes low, use, high
     * @param array<string, array{string, Quantity}> $restsOn path in the table => the middle figure there, and the
     *     minutes that come of it
     */
    private function __construct(public array $minutes, public array $restsOn) {}

    /**
     * So many of each.
     *
     * @param list<array{LabourFigure, int}> $parts minutes of one, and how many
     * @param string $longer what makes all of it longer, as a factor
     * @param Quantity|null $fixed minutes besides, that no figure of the crew's moves
     */
    public static function of(array $parts, string $longer = '1', ?Quantity $fixed = null): self
    {
        [$counts, $figures] = [[], []];
        foreach ($parts as [$figure, $count]) {
            $figures[$figure->path] = $figure;
            $counts[$figure->path] = ($counts[$figure->path] ?? 0) + $count;
        }
        $total = array_fill(0, 3, $fixed ?? Quantity::zero(Unit::Minute));
        $restsOn = [];
        foreach (array_filter($counts) as $path => $count) {
            $each = BigRational::of($longer)->multipliedBy($count);
            foreach ($figures[$path]->three() as $i => $minutes) {
                $total[$i] = $total[$i]->plus(Quantity::of($minutes, Unit::Minute)->times($each));
            }
            $use = $figures[$path]->use;
            $restsOn[$path] = [$use, Quantity::of($use, Unit::Minute)->times($each)];
        }

        return new self([$total[0], $total[1], $total[2]], $restsOn);
    }

    /** So many minutes of each of so much. */
    public static function over(LabourFigure $minutes, BigRational $much): self
    {
        $of = static fn(string $each): Quantity => Quantity::of($much->multipliedBy($each), Unit::Minute);

        return new self(
            [$of($minutes->low), $of($minutes->use), $of($minutes->high)],
            [
                $minutes->path => [$minutes->use, $of($minutes->use)],
            ],
        );
    }

    /** Hectares at so many an hour: the fast rate makes the low figure. */
    public static function atRate(LabourFigure $rates, BigRational $hectares): self
    {
        $of = static fn(string $rate): Quantity => Quantity::of(
            $hectares->dividedBy($rate)->multipliedBy(60),
            Unit::Minute,
        );

        return new self(
            [$of($rates->high), $of($rates->use), $of($rates->low)],
            [
                $rates->path => [$rates->use, $of($rates->use)],
            ],
        );
    }
}
