<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;

/** Stems that hurt when they fall (rulings J57): from 4 in (10 cm) thick, or of a stand from 16 ft (5 m) tall. */
final readonly class TallStems
{
    private const THICK_INCHES = 4;
    private const TALL_FEET = 16;
    private const HEIGHTS = 2;

    private function __construct() {}

    /**
     * @param list<StemGroup> $stems
     *
     * @return list<StemGroup> by their upper bound (rulings B11)
     */
    public static function thick(array $stems): array
    {
        $least = Quantity::of(self::THICK_INCHES, Unit::Inch);

        return array_values(
            array_filter($stems, static fn(StemGroup $g): bool => !$g->forCeilings()->isLessThan($least)),
        );
    }

    public static function areTall(?Quantity $height): bool
    {
        return $height !== null && !$height->isLessThan(Quantity::of(self::TALL_FEET, Unit::Foot));
    }

    /** As it was told, else the tallest that was counted. */
    public static function height(Situation $situation): ?Quantity
    {
        return $situation->quantity(FactName::Height) ?? $situation->tallestTallied();
    }

    /** Two heights: where nobody told any, of the tallest of its kind; null where that is not known either. */
    public static function reach(Situation $situation): ?Quantity
    {
        return (self::height($situation) ?? $situation->target?->greatestHeight())?->times(self::HEIGHTS);
    }
}
