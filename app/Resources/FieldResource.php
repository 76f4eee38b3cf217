<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\FieldNote;
use App\Models\Photo;
use App\Models\Sheet;
use App\Support\Format;
use Thicket\FieldDay\CarriedLimits;
use Thicket\FieldDay\EventKind;
use Thicket\FieldDay\FieldEvent;
use Thicket\FieldDay\FieldLog;
use Thicket\Measure\Quantity;
use Thicket\Survey\Coverage;
use Thicket\Survey\Outline;
use Thicket\Survey\SweepLines;

/** A field day on the wire: the notes of a sheet, and what they tell together. */
final readonly class FieldResource
{
    /** @return array<string, mixed> a note as its device made it, with its place in the order in which they came */
    public function note(FieldNote $note): array
    {
        $event = $note->event();

        return [
            'number' => $note->number,
            'note' =>
                [
                    'id' => $event->id,
                    'kind' => $event->kind->value,
                    'at' => $event->at->format('Y-m-d\TH:i:s.v\Z'),
                    'device' => $event->device,
                    'seq' => $event->seq,
                    'by' => $event->by,
                ] + $event->body,
        ];
    }

    /** @return array<string, mixed> */
    public function day(Sheet $sheet, FieldLog $log): array
    {
        $zone = $sheet->steps->first()?->patch->ground->time_zone;
        $limits = CarriedLimits::of($sheet->snapshot['startOnlyIf'] ?? []);

        return [
            'stems' => array_map(
                static fn(string $group, array $of): array => ['group' => $group] + $of,
                array_keys($log->stems()),
                array_values($log->stems()),
            ),
            'treated' => $log->treated(),
            'left' => $log->left(),
            'people' => $log->people(),
            'started' => self::moment($log->started(), $zone),
            'stopped' => self::moment($log->stopped(), $zone),
            'mixFilled' => Format::quantity($log->mixFilled()),
            'readings' => array_map(
                static fn(FieldEvent $e): array => [
                    'at' => self::moment($e->at, $zone),
                    'by' => $e->by,
                    'wind' => Format::quantity(Quantity::ofWire($e->body['wind'] ?? null)),
                    'windFrom' => $e->body['windFrom'] ?? null,
                    'air' => Format::quantity(Quantity::ofWire($e->body['air'] ?? null)),
                    'humidity' => $e->body['humidity'] ?? null,
                    'sky' => $e->body['sky'] ?? null,
                    'outside' => $limits->outside($e),
                ],
                $log->kind(EventKind::Reading),
            ),
            'said' => array_map(
                static fn(string $field, array $events): array => [
                    'field' => $field,
                    'values' => array_map(
                        static fn(FieldEvent $e): array => [
                            'id' => $e->id,
                            'value' => $e->text('value'),
                            'by' => $e->by,
                            'at' => self::moment($e->at, $zone),
                        ],
                        $events,
                    ),
                ],
                array_keys($log->said()),
                array_values($log->said()),
            ),
            'conflicts' => $log->conflicts(),
            'marks' => array_map(
                static fn(FieldEvent $e): array => [
                    'id' => $e->id,
                    'at' => self::moment($e->at, $zone),
                    'by' => $e->by,
                    'state' => $e->text('state'),
                    'position' => $e->body['position'] ?? null,
                    'within' => Format::quantity(Quantity::ofWire($e->body['within'] ?? null)),
                    'why' => $e->body['why'] ?? null,
                ],
                $log->kind(EventKind::Mark),
            ),
            'photos' => $this->photos($sheet, $log, $zone),
            'incidents' => array_map(
                static fn(FieldEvent $e): array => [
                    'at' => self::moment($e->at, $zone),
                    'by' => $e->by,
                    'what' => $e->text('what'),
                    'on' => $e->body['on'] ?? null,
                    'text' => $e->text('text'),
                ],
                $log->kind(EventKind::Incident),
            ),
            'notes' => array_map(static fn(FieldEvent $e): string => $e->text('text'), $log->kind(EventKind::Note)),
            'takenBack' => count($log->undone),
        ];
    }

    /** @return list<array<string, mixed>> pictures that stand, whether their file is here yet or still on a phone */
    private function photos(Sheet $sheet, FieldLog $log, ?string $zone): array
    {
        $noted = $log->kind(EventKind::Photo);
        $here = $noted === [] ? [] : Photo::query()->where('sheet_id', $sheet->id)->pluck('id')->all();

        return array_map(
            static fn(FieldEvent $e): array => [
                'id' => $e->text('photo'),
                'at' => self::moment($e->at, $zone),
                'by' => $e->by,
                'text' => $e->body['text'] ?? null,
                'here' => in_array($e->text('photo'), $here, true),
            ],
            $noted,
        );
    }

    /** @return array<string, mixed> */
    public function coverage(Outline $patch, FieldLog $log, Quantity $width): array
    {
        $of = Coverage::of($patch, $log->tracks(), $width);

        return [
            'covered' => Format::ground($of->coveredArea),
            'missed' => Format::ground($of->missedArea),
            'twice' => Format::ground($of->twiceArea),
            'sure' => Format::ground($of->surelyCoveredArea),
            'parted' => $of->parted,
            'coveredShapes' => $of->covered,
            'missedShapes' => $of->missed,
            'twiceShapes' => $of->twice,
            'lines' => SweepLines::across($patch, $width),
        ];
    }

    private static function moment(?\DateTimeImmutable $at, ?string $zone): ?string
    {
        return $at === null ? null : Format::moment($at, $zone);
    }
}
