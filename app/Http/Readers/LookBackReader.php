<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Record;
use App\Support\JobClock;
use Thicket\Input\Fields;

/** What was seen of the work of a record. */
final readonly class LookBackReader
{
    public function __construct(private JobClock $clock) {}

    /** @return array{looked: \DateTimeImmutable|null, scored: bool, body: array<string, int|string|null>} */
    public function read(Fields $in, Record $record): array
    {
        $looked = $in->pastDay('lookedOn', $this->clock->today($record->patch->ground->time_zone));
        $scored = $in->bool('scored', false);
        $counted = $in->int('counted', 1, 1000000);
        $dead = $in->int('dead', 0, 1000000);
        $resprouted = $in->int('resprouted', 0, 1000000, 0);
        $remarks = $in->textOrNull('remarks', 2000);
        if ($counted !== null && ($dead ?? 0) + ($resprouted ?? 0) > $counted) {
            $in->fault('dead', 'Dead and resprouted together are more than were counted.');
        }
        if ($looked !== null && $looked->format('Y-m-d') < $record->worked_on->format('Y-m-d')) {
            $in->fault('lookedOn', 'This day lies before the work.');
        }

        return [
            'looked' => $looked,
            'scored' => $scored,
            'body' => ['counted' => $counted, 'dead' => $dead, 'resprouted' => $resprouted, 'remarks' => $remarks],
        ];
    }
}
