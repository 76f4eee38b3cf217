<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Sprayer;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Unit;
use Thicket\Mix\Calibration;
use Thicket\Mix\CalibrationResult;
use Thicket\Mix\NozzleCheck;

/** One calibration as it was measured. */
final readonly class CalibrationReader
{
    /** @return CalibrationResult it gives nothing only while faults are noted */
    public function read(Fields $in, Sprayer $sprayer): CalibrationResult
    {
        $way = $in->choice('way', Calibration::WAYS) ?? '';
        $gives = match ($way) {
            'course' => $this->course($in),
            'moving' => $this->moving($in),
            'known-area' => $this->knownArea($in),
            'bottle' => $this->bottle($in),
            default => null,
        };
        $flows = [];
        foreach ($in->strings('nozzles', null, 40) as $i => $typed) {
            try {
                $flows[] = Reading::parse($typed, Dimension::Volume)->quantity;
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault("nozzles/{$i}", $e->getMessage());
            }
        }
        $rated = isset($sprayer->details['ratedFlow'])
            ? Reading::parse($sprayer->details['ratedFlow'], Dimension::Volume)->quantity
            : null;

        return new CalibrationResult($way, $gives, $flows, $flows === [] ? null : NozzleCheck::of($flows, $rated));
    }

    private function course(Fields $in): ?Quantity
    {
        $caught = $in->positive('caught', Dimension::Volume);
        $area = $in->has('area') ? $in->positive('area', Dimension::Area) : Calibration::course();
        $in->raw('area');

        return $caught === null || $area === null ? null : Calibration::byCourse($caught, $area);
    }

    private function moving(Fields $in): ?Quantity
    {
        [$caught, $time, $speed, $spacing] = [
            $in->positive('caught', Dimension::Volume),
            $in->positive('time', Dimension::Duration, Unit::Second),
            $in->positive('speed', Dimension::Speed),
            $in->positive('spacing', Dimension::Length),
        ];

        return $caught === null || $time === null || $speed === null || $spacing === null
            ? null
            : Calibration::moving($caught, $time, $speed, $spacing);
    }

    private function knownArea(Fields $in): ?Quantity
    {
        [$used, $area] = [$in->positive('used', Dimension::Volume), $in->positive('area', Dimension::Area)];

        return $used === null || $area === null ? null : Calibration::knownArea($used, $area);
    }

    private function bottle(Fields $in): ?Quantity
    {
        $caught = $in->positive('caught', Dimension::Volume);
        $strokes = $in->int('strokes', 1, 1000);

        return $caught === null || $strokes === null ? null : Calibration::bottle($caught, $strokes);
    }
}
