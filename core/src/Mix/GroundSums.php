<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Outline;
use Thicket\Survey\Overlap;

/**
 * Sums of the ground: rings and strips, what of an area gets the rate, ground that several jobs share, mulch. One JSON
 * document each ({@see Sums}); exact but for overlaps, which are geometry.
 *
 * @phpstan-import-type Values from FieldSums
 */
final readonly class GroundSums
{
    public const NAMES = ['rings', 'strip', 'treated-area', 'overlap', 'mulch'];
    private const MOST_RINGS = 1_000_000;
    private const MOST_LOADS = 200;

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @param Fields $in with sum, one of {@see self::NAMES}
     *
     * @return array{values: Values, missing: list<string>} faults are noted at their fields
     */
    public function solve(string $sum, Fields $in): array
    {
        $values = match ($sum) {
            'rings' => $this->rings($in),
            'strip' => $this->strip($in),
            'treated-area' => $this->treatedArea($in),
            'overlap' => $this->overlap($in),
            'mulch' => $this->mulch($in),
            default => [],
        };

        return ['values' => $values, 'missing' => []];
    }

    /**
     * Circles round trees: n x pi/4 x d squared, less what neighbours in a row share, 2 r2 acos(s / 2r) - s/2 sqrt(4 r2
     * - s2) each (geometry, in floats).
     *
     * @return Values
     */
    private function rings(Fields $in): array
    {
        $count = $in->int('count', 1, self::MOST_RINGS);
        $across = $in->positive('across', Dimension::Length);
        $apart = $in->positiveOrNull('apart', Dimension::Length);
        $rows = $in->int('rows', 1, self::MOST_RINGS, 1);
        if ($count === null || $across === null || $rows === null || $in->faults->any()) {
            $this->rates($in);

            return [];
        }
        if ($rows > $count) {
            $in->fault('rows', 'There cannot be more rows than trees.');
        }
        $d = $across->in(Unit::Metre);
        $one = Quantity::of($d->multipliedBy($d)->dividedBy(4)->multipliedBy(Pi::value()), Unit::SquareMetre);
        $shared = Quantity::zero(Unit::SquareMetre);
        if ($apart !== null && $apart->isLessThan($across)) {
            [$r, $s] = [$across->float(Unit::Metre) / 2, $apart->float(Unit::Metre)];
            $lens = 2 * $r ** 2 * acos($s / (2 * $r)) - ($s / 2) * sqrt(4 * $r ** 2 - $s ** 2);
            $shared = Quantity::of(number_format($lens, 9, '.', ''), Unit::SquareMetre)->times($count - $rows);
        }
        $area = $one->times($count)->minus($shared);

        return ['one' => $one, 'shared' => $shared, 'area' => $area] + $this->given($in, $area);
    }

    /** @return Values both sides of a row: length x 2 x side */
    private function strip(Fields $in): array
    {
        $length = $in->positive('length', Dimension::Length);
        $side = $in->positive('side', Dimension::Length);
        $sides = $in->int('sides', 1, 2, 2);
        if ($length === null || $side === null || $sides === null || $in->faults->any()) {
            $this->rates($in);

            return [];
        }
        $area = Quantity::of(
            $length->in(Unit::Metre)->multipliedBy($side->in(Unit::Metre))->multipliedBy($sides),
            Unit::SquareMetre,
        );

        return ['area' => $area] + $this->given($in, $area);
    }

    /**
     * What of an area gets the rate (handbook 2): 2 x each side / row spacing of it, the share that the weed covers, or
     * its plants times the ground a crown of their height covers; never the whole without saying.
     *
     * @return Values
     */
    private function treatedArea(Fields $in): array
    {
        $ways = ['rowSpacing', 'coverPercent', 'plants'];
        $told = array_values(array_filter($ways, $in->has(...)));
        if (count($told) !== 1) {
            $in->fault(
                $told[1] ?? 'rowSpacing',
                'Give one: rowSpacing with stripSide, coverPercent, or plants with height.',
            );
            array_map($in->raw(...), ['area', 'stripSide', 'height', ...$ways]);

            return [];
        }
        if ($told[0] === 'plants') {
            [$plants, $height] = [$in->int('plants', 1, self::MOST_RINGS), $in->positive('height', Dimension::Length)];
            $area =
                $plants === null || $height === null
                    ? null
                    : TreatedArea::underCrowns(
                        $this->catalogue->coefficients(),
                        TreatedArea::classOfHeight($height),
                        $plants,
                    );

            return ($area === null ? [] : ['treated' => $area]) + $this->given($in, $area);
        }
        $area = $in->positive('area', Dimension::Area);
        if ($told[0] === 'rowSpacing') {
            $rows = $in->positive('rowSpacing', Dimension::Length);
            $side = $in->positive('stripSide', Dimension::Length);
            if ($rows !== null && $side !== null && $side->times(2)->isGreaterThan($rows)) {
                $in->fault('stripSide', 'Strips so wide meet between the rows: give half the row spacing at most.');
            }
            $share = $rows === null || $side === null ? null : TreatedArea::shareOfRows($rows, $side);
        } else {
            $percent = $in->int('coverPercent', 1, 100);
            $share = $percent === null ? null : BigRational::of($percent)->dividedBy(100);
        }
        $treated = $area === null || $share === null || $in->faults->any() ? null : $area->times($share);

        return ($treated === null || $share === null
            ? []
            : ['treated' => $treated, 'percent-of-area' => Quantity::of($share->multipliedBy(100), Unit::One)]) +
            $this->given($in, $treated);
    }

    /**
     * The heaviest total on any spot of a patch, since a yearly ceiling holds for every spot (rulings J7); with the
     * label's most, what is left of it.
     *
     * @return Values
     */
    private function overlap(Fields $in): array
    {
        $patch = self::outline($in, 'patch');
        $most = self::load($in, 'labelMost');
        $loads = [];
        foreach ($in->objects('loads', self::MOST_LOADS, true) as $item) {
            [$outline, $load] = [self::outline($item, 'outline'), self::load($item, 'load')];
            $item->has('load') || $item->fault('load', 'Give what was put there, such as 2 qt/ac or 5 L/ha.');
            $item->noOthers();
            if ($load !== null && $loads !== [] && $load->dimension() !== $loads[0]['load']->dimension()) {
                $item->fault('load', 'Measure all loads alike: product, acid equivalent or active ingredient an area.');
            }
            $outline === null || $load === null || ($loads[] = ['outline' => $outline, 'load' => $load]);
        }
        if ($most !== null && $loads !== [] && $most->dimension() !== $loads[0]['load']->dimension()) {
            $in->fault('labelMost', 'Measure it like the loads.');
        }
        if ($patch === null || $in->faults->any()) {
            return [];
        }
        $heaviest = Overlap::heaviest($patch, $loads);
        $left = $most !== null ? $most->minus($heaviest ?? Quantity::zero($most->unit)) : null;

        return ($heaviest === null ? ['reached' => false] : ['reached' => true, 'heaviest' => $heaviest]) +
            ($left === null
                ? []
                : [
                    'above-label' => $left->isNegative(),
                    'left' => $left->isNegative() ? Quantity::zero($left->unit) : $left,
                ]);
    }

    private static function outline(Fields $in, string $field): ?Outline
    {
        try {
            return Outline::fromGeoJson($in->raw($field), "{$in->pointer}/{$field}");
        } catch (Refused $e) {
            foreach ($e->faults as $fault) {
                $in->faults->add($fault['pointer'], $fault['message']);
            }

            return null;
        }
    }

    /** Product or active an area. */
    private static function load(Fields $in, string $field): ?Quantity
    {
        $load = $in->readingOrNull($field, null)?->quantity;
        $kinds = [
            Dimension::VolumePerArea,
            Dimension::MassPerArea,
            Dimension::EquivalentPerArea,
            Dimension::IngredientPerArea,
        ];
        if ($load !== null && (!in_array($load->dimension(), $kinds, true) || $load->isNegative())) {
            return $in->fault($field, 'Give an amount an area, such as 2 qt/ac, 5 L/ha or 2 lb ae/ac.');
        }

        return $load;
    }

    /** @return Values what lies so deep on an area, and how many bags that is */
    private function mulch(Fields $in): array
    {
        [$area, $depth] = [$in->positive('area', Dimension::Area), $in->positive('depth', Dimension::Length)];
        $volume = $area === null || $depth === null ? null : Layer::volume($area, $depth);
        $bag = $in->positiveOrNull('bag', Dimension::Volume);

        return $volume === null || $in->faults->any()
            ? []
            : ['volume' => $volume] +
                    ($bag === null ? [] : ['bags' => $volume->per($bag)->toScale(0, RoundingMode::CEILING)->toInt()]);
    }

    /** @return array<string, Quantity> product and spray on an area, where a rate of either was given */
    private function given(Fields $in, ?Quantity $area): array
    {
        [$rate, $spray] = $this->rates($in);

        return ($rate === null || $area === null ? [] : ['product' => AreaRate::over($rate, $area)]) +
            ($spray === null || $area === null ? [] : ['spray' => AreaRate::over($spray, $area)]);
    }

    /** @return array{Quantity|null, Quantity|null} product an area, mix an area */
    private function rates(Fields $in): array
    {
        $rate = $in->readingOrNull('rate', null)?->quantity;
        if ($rate !== null && !in_array($rate->dimension(), [Dimension::VolumePerArea, Dimension::MassPerArea], true)) {
            $rate = $in->fault('rate', 'Give product an area, such as 2 qt/ac, 5 L/ha or 3 oz dry/ac.');
        }

        return [$rate, $in->positiveOrNull('sprayVolume', Dimension::VolumePerArea)];
    }
}
