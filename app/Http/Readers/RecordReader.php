<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Ground;
use App\Models\Record;
use App\Models\Sheet;
use App\Support\Format;
use App\Support\JobClock;
use Thicket\FieldDay\RecordFields;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;

/** What was done by a job sheet, as whoever signs it says. */
final readonly class RecordReader
{
    /** Of what an inspector asks for besides: what is of the ground, not of the spray. */
    private const OF_GROUND = ['owner'];

    public function __construct(private JobClock $clock) {}

    /** @return array<string, mixed> the record as typed, read and checked */
    public function read(Fields $in, Sheet $sheet): array
    {
        $worked = $in->pastDay('workedOn', $this->clock->today(self::ground($sheet)->time_zone));
        $issued = is_string($sheet->snapshot['day'] ?? null) ? $sheet->snapshot['day'] : '';
        if ($worked !== null && $worked->format('Y-m-d') < $issued) {
            $in->fault('workedOn', "The sheet was issued on {$issued}; work is signed for from that day on.");
        }
        $usesProduct = ($sheet->snapshot['product'] ?? null) !== null;
        $start = $this->time($in, 'start');
        $stop = $this->time($in, 'stop');
        if ($start !== null && $stop !== null && $stop <= $start) {
            $in->fault('stop', 'Work stops after it starts.');
        }

        return [
            'workedOn' => Format::day($worked),
            'start' => $start,
            'stop' => $stop,
            'people' => $in->strings('people', null, 60, 120) ?: $in->fault('people', 'Name everybody who worked.'),
            'treated' => $in->int('treated', 0, 1000000),
            'skipped' => $in->int('skipped', 0, 1000000, 0),
            'mixUsed' => $usesProduct
                ? Format::quantity($in->quantity('mixUsed', Dimension::Volume))
                : $this->none($in, 'mixUsed'),
            'weather' => $in->text('weather', 300),
            'wind' => Format::quantity($in->quantity('wind', Dimension::Speed)),
            'temperature' => Format::quantity($in->quantity('temperature', Dimension::Temperature)),
            'equipment' => $in->textOrNull('equipment', 300),
            'incident' => $in->bool('incident', false),
            'remarks' => $in->textOrNull('remarks', 4000),
        ] + $this->further($in, $usesProduct);
    }

    /**
     * What an inspector asks for besides (rulings J29), as far as it was told.
     *
     * @return array<string, mixed>
     */
    private function further(Fields $in, bool $usesProduct): array
    {
        $told = [];
        foreach (RecordFields::FURTHER as $name) {
            $told[$name] = match (true) {
                !$usesProduct && !in_array($name, self::OF_GROUND, true) => $this->none($in, $name),
                $name === 'pressure' => Format::quantity($in->quantityOrNull($name, Dimension::Pressure)),
                $name === 'height' => Format::quantity($in->positiveOrNull($name, Dimension::Length)),
                $name === 'droplets' => $in->choiceOrNull($name, RecordFields::DROPLETS),
                default => $in->textOrNull($name, 300),
            };
        }

        return array_filter($told, static fn(mixed $v): bool => $v !== null);
    }

    private static function ground(Sheet $sheet): Ground
    {
        return $sheet->steps[0]->patch->ground ?? throw new \LogicException('A sheet without a step.');
    }

    private function time(Fields $in, string $name): ?string
    {
        $time = $in->text($name, 5);

        return $time !== null && preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $time) !== 1
            ? $in->fault($name, 'Write the time as 09:30.')
            : $time;
    }

    private function none(Fields $in, string $name): null
    {
        $in->raw($name);

        return $in->has($name) ? $in->fault($name, 'This sheet uses no product.') : null;
    }
}
