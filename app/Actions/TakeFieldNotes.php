<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FieldNote;
use App\Models\Sheet;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Thicket\FieldDay\FieldEvent;
use Thicket\FieldDay\FieldEventReader;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;

/**
 * Takes notes of a field day from a device. Each is taken once, by its id, however often it is sent; one that cannot be
 * read is told and holds up no other. A sheet that was withdrawn or signed meanwhile takes them all the same: what was
 * done was done.
 */
final readonly class TakeFieldNotes
{
    public function __construct(private NoteSprayer $sprayers) {}

    /**
     * @param list<mixed> $sent notes as the device made them
     *
     * @return array{taken: int, known: int, refused: list<array{id: string|null, pointer: string, message: string}>}
     */
    public function __invoke(Sheet $sheet, User $user, array $sent): array
    {
        return DB::transaction(function () use ($sheet, $user, $sent): array {
            $answer = ['taken' => 0, 'known' => 0, 'refused' => []];
            $known = $this->known($sent);
            foreach ($sent as $i => $one) {
                try {
                    $event = self::read($one, "/notes/{$i}");
                    $held = $known[$event->id] ?? null;
                    if ($held !== null && ($held->sheet_id !== $sheet->id || !self::isSame($held->event(), $event))) {
                        throw Refused::at("/notes/{$i}/id", 'This id was used for another note; make a new one.');
                    }
                    $known[$event->id] ??= FieldNote::query()->create(self::row($event, $sheet, $user));
                    ++$answer[$held === null ? 'taken' : 'known'];
                } catch (Refused $refused) {
                    $id = is_array($one) && is_string($one['id'] ?? null) ? mb_substr($one['id'], 0, 40) : null;
                    foreach ($refused->faults as $fault) {
                        $answer['refused'][] = ['id' => $id] + $fault;
                    }
                }
            }

            $answer['taken'] === 0 || $this->sprayers->fromField($sheet, $user);

            return $answer;
        });
    }

    /** @throws Refused where it cannot be read */
    private static function read(mixed $sent, string $pointer): FieldEvent
    {
        $faults = new Faults();
        $event = FieldEventReader::read(Fields::of($sent, $faults, pointer: $pointer));
        $faults->throwIfAny();

        return $event ?? throw Refused::at($pointer, 'This note cannot be read.');
    }

    /**
     * @param list<mixed> $sent
     *
     * @return array<string, FieldNote> those that are here already, by id
     */
    private function known(array $sent): array
    {
        $ids = array_filter(
            array_map(static fn(mixed $one): mixed => is_array($one) ? $one['id'] ?? null : null, $sent),
            is_string(...),
        );

        $known = [];
        foreach (FieldNote::query()->findMany(array_values($ids)) as $note) {
            $known[$note->id] = $note;
        }

        return $known;
    }

    /** @return array<string, mixed> */
    private static function row(FieldEvent $event, Sheet $sheet, User $user): array
    {
        return [
            'id' => $event->id,
            'crew_id' => $sheet->crew_id,
            'sheet_id' => $sheet->id,
            'sent_by' => $user->id,
            'kind' => $event->kind->value,
            'at' => $event->at->format('Y-m-d H:i:s.u'),
            'device' => $event->device,
            'seq' => $event->seq,
            'by' => $event->by,
            'body' => $event->body,
            'received_at' => now(),
        ];
    }

    private static function isSame(FieldEvent $a, FieldEvent $b): bool
    {
        // as the database holds it: 5.0 m of error is 5 there
        $plain = static fn(FieldEvent $e): string => json_encode(
            [$e->kind->value, $e->at->format('U.u'), $e->device, $e->seq, $e->by, $e->body],
            JSON_THROW_ON_ERROR,
        );

        return $plain($a) === $plain($b);
    }
}
