<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use Brick\Math\RoundingMode;
use Thicket\Mix\Calibration;
use Thicket\Mix\CalibrationResult;

/** What a calibration found, as it crosses the wire. */
final readonly class CalibrationResource
{
    /**
     * @param list<array{standId: string, name: string}> $changed
     *
     * @return array<string, mixed>
     */
    public static function told(CalibrationResult $measured, array $changed): array
    {
        $percent = static fn(\Brick\Math\BigRational $share): string => (string) $share
            ->multipliedBy(100)
            ->toScale(1, RoundingMode::HALF_UP)
            ->stripTrailingZeros();
        $check = $measured->check;

        return [
            'way' => $measured->way,
            'gives' => Format::quantity($measured->gives),
            'changed' => $changed,
            'nozzles' =>
                $check === null
                    ? null
                    : [
                        'mean' => Format::quantity($check->mean),
                        'replaceSet' => $check->replaceSet,
                        'each' => array_map(
                            static fn(array $n): array => [
                                'flow' => Format::quantity($n['flow']),
                                'offMean' => $percent($n['offMean']),
                                'ofRated' => $n['ofRated'] === null ? null : $percent($n['ofRated']),
                                'worn' => $n['worn'],
                            ],
                            $check->nozzles,
                        ),
                    ],
        ];
    }
}
