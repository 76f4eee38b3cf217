<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Record;
use App\Models\RecordLesson;
use App\Models\Sheet;
use Thicket\Catalogue\Catalogue;
use Thicket\Economics\PlannedWork;
use Thicket\FieldDay\FieldLog;
use Thicket\FieldDay\RecordFields;
use Thicket\FieldDay\WorkTime;
use Thicket\Measure\Quantity;

/** Holds a signed record against what its sheet was planned with, and keeps what it says of each figure. */
final readonly class Learn
{
    public function __construct(private Catalogue $catalogue) {}

    /** @param array<string, mixed> $body as signed */
    public function fromRecord(Record $record, Sheet $sheet, array $body, FieldLog $log): void
    {
        $text = static fn(string $name): string => is_string($body[$name] ?? null) ? $body[$name] : '';
        $people = is_array($body['people'] ?? null) ? $body['people'] : [];
        $planned = PlannedWork::kept($sheet->snapshot['planned'] ?? null);
        $lessons =
            $planned?->teaches(
                is_int($body['treated'] ?? null) ? $body['treated'] : 0,
                Quantity::ofWire($body['mixUsed'] ?? null),
                WorkTime::minutes($log, count($people), $text('start'), $text('stop')),
                $this->catalogue->coefficients(),
            ) ?? [];
        foreach ($lessons as $lesson) {
            RecordLesson::create([
                'crew_id' => $record->crew_id,
                'record_id' => $record->id,
                'of' => $lesson->of,
                'path' => $lesson->path,
                'planned' => $lesson->planned,
                'seen' => $lesson->seen,
                'weight' => number_format($lesson->weight, 4, '.', ''),
                'asked' => $lesson->asked ? RecordLesson::UNUSUAL : null,
            ]);
        }
    }

    /** What was put right in a record is not read by a machine: its figures count again once somebody says so. */
    public function fromAmendment(Record $record, string $field): void
    {
        if (in_array($field, RecordFields::TAUGHT_BY, true)) {
            RecordLesson::query()
                ->where('record_id', $record->id)
                ->update([
                    'asked' => RecordLesson::AMENDED,
                    'counts' => null,
                    'why' => null,
                    'answered_by' => null,
                    'answered_at' => null,
                ]);
        }
    }
}
