<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Sprayer;
use Thicket\Catalogue\SprayerKind;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\Advice\MixPlan;

/** A sprayer as somebody gives it, to be kept. */
final readonly class SprayerReader
{
    /** @return array<string, mixed> */
    public function read(Fields $in): array
    {
        $tank = $in->quantity('tank', Dimension::Volume);
        if ($tank !== null && ($tank->isZero() || $tank->isNegative())) {
            $in->fault('tank', 'It holds more than nothing.');
        }
        $details = array_filter(
            [
                'material' => $in->choiceOrNull('material', MixPlan::MATERIALS),
                'nozzle' => $in->textOrNull('nozzle', 80),
                'ratedFlow' => $in->quantityOrNull('ratedFlow', Dimension::Volume)?->asText(),
            ],
            static fn(mixed $v): bool => $v !== null,
        );
        if ($in->has('solventProof')) {
            $details['solventProof'] = $in->bool('solventProof', false);
        } else {
            $in->raw('solventProof');
        }

        return [
            'name' => $in->text('name', 80),
            'kind' => $in->choice('kind', array_column(SprayerKind::cases(), 'value')),
            'tank_value' => $tank?->toWire()['value'],
            'tank_unit' => $tank?->unit->value,
            'details' => $details,
        ];
    }
}
