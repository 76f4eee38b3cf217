<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Batch;
use App\Support\Format;

/** A load as it was mixed, as it crosses the wire. */
final readonly class BatchResource
{
    /** @return array<string, mixed> */
    public static function batch(Batch $batch): array
    {
        return [
            'id' => $batch->id,
            'number' => $batch->number,
            'mixedAt' => Format::moment($batch->mixed_at),
            'recordId' => $batch->record_id,
            'label' => $batch->body['label'] ?? null,
            'finished' => $batch->body['finished'] ?? null,
        ];
    }
}
