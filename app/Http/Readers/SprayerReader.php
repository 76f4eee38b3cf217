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
                'ratedFlow' => $this->typed($in, 'ratedFlow', Dimension::Volume),
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

    /** A size kept as it was typed, once it has been read. */
    private function typed(Fields $in, string $name, Dimension $dimension): ?string
    {
        $reading = $in->has($name) ? $in->reading($name, $dimension) : null;
        $in->has($name) || $in->raw($name);

        return $reading === null ? null : $reading->quantity->toWire()['value'] . ' ' . $reading->quantity->unit->value;
    }
}
