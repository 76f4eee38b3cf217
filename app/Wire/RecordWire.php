<?php

declare(strict_types=1);

namespace App\Wire;

use App\Models\LookBack;
use App\Models\Record;
use App\Support\JobClock;

final readonly class RecordWire
{
    public function __construct(private JobClock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function record(Record $record): array
    {
        return [
            'id' => $record->id, 'seq' => $record->seq, 'sheetId' => $record->sheet_id, 'workedOn' => Wire::day($record->worked_on), 'judgeAfter' => Wire::day($record->judge_after),
            'mayScore' => $record->judge_after->format('Y-m-d') <= $this->clock->today($record->patch->ground->time_zone)->format('Y-m-d'), 'signedAt' => Wire::moment($record->signed_at, $record->patch->ground->time_zone), 'hash' => $record->hash, 'prevHash' => $record->prev_hash,
            'body' => json_decode($record->body, true, 64, JSON_THROW_ON_ERROR),
            'lookBacks' => $record->lookBacks->map(static fn (LookBack $l): array => ['id' => $l->id, 'lookedOn' => $l->looked_on->format('Y-m-d'), 'scored' => $l->scored] + $l->body)->values()->all(),
        ];
    }
}
