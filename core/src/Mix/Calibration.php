<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What a sprayer or bottle really gives, by each way of handbook 3 "Calibration". Exact; told per area, or per stroke
 * of a bottle.
 */
final readonly class Calibration
{
    public const WAYS = ['course', 'moving', 'known-area', 'bottle'];

    /**
     * Side of the square of 1/128 acre, 340.3125 sq ft exactly (rulings J31); taped at 18.5 ft it reads 0.6 % high,
     * which is accepted.
     */
    public static function course(): Quantity
    {
        return Quantity::of('340.3125', Unit::SquareFoot);
    }

    /**
     * Caught in the time that it takes to spray the course: fluid ounces on 1/128 acre are gallons an acre; litres on
     * 100 m2 x 100 are L/ha.
     */
    public static function byCourse(Quantity $caught, Quantity $area): Quantity
    {
        return self::over($caught, $area);
    }

    /**
     * A boom or a walking nozzle: L/ha = 600 x L/min / (km/h x m). The strip one nozzle covers in a minute is speed x
     * spacing.
     *
     * @param Quantity $caught from one nozzle in @param Quantity $time
     */
    public static function moving(Quantity $caught, Quantity $time, Quantity $speed, Quantity $spacing): Quantity
    {
        $metres = $speed->in(Unit::MetrePerSecond)->multipliedBy($time->in(Unit::Second));

        return self::over($caught, Quantity::of($metres->multipliedBy($spacing->in(Unit::Metre)), Unit::SquareMetre));
    }

    public static function knownArea(Quantity $used, Quantity $area): Quantity
    {
        return self::over($used, $area);
    }

    /** mL of one stroke. */
    public static function bottle(Quantity $caught, int $strokes): Quantity
    {
        if ($strokes < 1) {
            throw new \InvalidArgumentException('At least one stroke.');
        }

        return $caught->dividedBy($strokes)->to(Unit::Millilitre);
    }

    /** Strokes for a tree by the label's mL, rounded up (handbook 3: 5 mL at 2 mL are 3). */
    public static function strokesFor(Quantity $perTree, Quantity $perStroke): int
    {
        return $perTree->per($perStroke)->toScale(0, \Brick\Math\RoundingMode::CEILING)->toInt();
    }

    private static function over(Quantity $volume, Quantity $area): Quantity
    {
        if (!$area->amount->isPositive()) {
            throw new \InvalidArgumentException('An area is more than nothing.');
        }

        return Quantity::of(
            BigRational::of($volume->in(Unit::Litre))->dividedBy($area->in(Unit::Hectare)),
            Unit::LitrePerHectare,
        );
    }
}
