<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Calibration;

/** What the sprayer gives, by one of four ways (rulings J31) */
final readonly class CalibrationFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $way = $in->choice('way', Calibration::WAYS);
        $need = fn(string $name, Dimension $dimension): ?Quantity => $in->positive($name, $dimension);
        switch ($way) {
            case 'course':
                $caught = $need('caught', Dimension::Volume);
                $given = $in->positiveOrNull('area', Dimension::Area);
                $course = $in->has('area') ? $given : Calibration::course();

                return new FormulaAnswer(
                    $caught === null || $course === null
                        ? []
                        : ['gives' => Calibration::byCourse($caught, $course), 'course' => $course],
                );
            case 'known-area':
                [$used, $area] = [$need('used', Dimension::Volume), $need('area', Dimension::Area)];

                return new FormulaAnswer(
                    $used === null || $area === null ? [] : ['gives' => Calibration::knownArea($used, $area)],
                );
            case 'moving':
                [$speed, $spacing] = [$need('speed', Dimension::Speed), $need('spacing', Dimension::Length)];
                if ($in->has('flow')) {
                    $flow = $need('flow', Dimension::VolumePerTime);
                    [$caught, $time] =
                        $flow === null
                            ? [null, null]
                            : [
                                Quantity::of($flow->in(Unit::LitrePerMinute), Unit::Litre),
                                Quantity::of(1, Unit::Minute),
                            ];
                } else {
                    $in->raw('flow');
                    [$caught, $time] = [$need('caught', Dimension::Volume), $need('time', Dimension::Duration)];
                }

                return new FormulaAnswer(
                    $caught === null || $time === null || $speed === null || $spacing === null
                        ? []
                        : ['gives' => Calibration::moving($caught, $time, $speed, $spacing)],
                );
            case 'bottle':
                $caught = $need('caught', Dimension::Volume);
                $strokes = $in->int('strokes', 1, 100000);
                $perTree = $in->positiveOrNull('perTree', Dimension::Volume);
                if ($caught === null || $strokes === null) {
                    return FormulaAnswer::none();
                }
                $stroke = Calibration::bottle($caught, $strokes);

                return new FormulaAnswer(
                    ['stroke' => $stroke] +
                        ($perTree === null ? [] : ['strokes-per-tree' => Calibration::strokesFor($perTree, $stroke)]),
                );
            default:
                return FormulaAnswer::none();
        }
    }
}
