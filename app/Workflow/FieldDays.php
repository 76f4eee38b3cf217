<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Sheet;
use App\Models\StandingTree;
use App\Models\User;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\FieldDay\EventKind;
use Thicket\FieldDay\FieldEvent;
use Thicket\FieldDay\FieldLog;

/** Field days that are not signed for yet: who is at work, which clocks run, and what a midnight has passed over. */
final readonly class FieldDays
{
    private const MOST_SHEETS = 40;

    public function __construct(private JobClock $clock, private Sentences $sentences) {}

    /** @return list<array<string, mixed>> the longest unsigned first */
    public function open(User $user): array
    {
        $sheets = Sheet::query()
            ->ofCrew($user)
            ->whereHas('fieldNotes', static fn($notes) => $notes->where('kind', EventKind::Work->value))
            ->whereDoesntHave('steps.records')
            ->with(['fieldNotes', 'steps.patch.ground'])
            ->latest('issued_at')
            ->limit(self::MOST_SHEETS)
            ->get();
        $out = [];
        foreach ($sheets as $sheet) {
            $ground = $sheet->steps->first()?->patch->ground;
            $told = $sheet->told($this->sentences->locale());
            $stand = $told['standId'] ?? null;
            $log = $sheet->fieldLog();
            $from = $log->started();
            if ($ground === null || !is_string($stand) || $from === null) {
                continue;
            }
            $day = $from->setTimezone(new \DateTimeZone($ground->time_zone))->format('Y-m-d');
            $out[] = [
                'standId' => $stand,
                'sheetId' => $sheet->id,
                'number' => $sheet->number,
                'name' => ($told['method']['name'] ?? '') . ', ' . ($told['target']['name'] ?? ''),
                'patch' => $told['place']['patch'] ?? '',
                'groundId' => $ground->id,
                'day' => $day,
                // a midnight has passed and nobody has signed (rulings J29)
                'late' => $day < $this->clock->today($ground->time_zone)->format('Y-m-d'),
                'working' => self::working($log),
                'clocks' => self::clocks($told, $log),
            ];
        }
        usort($out, static fn(array $a, array $b): int => [$a['day'], $a['number']] <=> [$b['day'], $b['number']]);

        return $out;
    }

    /** @return list<array<string, mixed>> trees dying on their feet that nobody looked at for a year, oldest first */
    public function standing(User $user): array
    {
        $up = StandingTree::query()->up()->where('standing_trees.crew_id', $user->crew_id);

        return $up
            ->join('patches', 'patches.id', '=', 'standing_trees.patch_id')
            ->join('grounds', 'grounds.id', '=', 'patches.ground_id')
            ->join('records', 'records.id', '=', 'standing_trees.record_id')
            ->join('stand_step', 'stand_step.step_id', '=', 'records.step_id')
            ->orderBy('since')
            ->limit(self::MOST_SHEETS)
            ->get(['standing_trees.*', 'patches.name as patch_name', 'grounds.time_zone', 'stand_step.stand_id'])
            ->filter(
                fn(StandingTree $t): bool => $t->lookBy()->format('Y-m-d') <=
                    $this->clock->today((string) $t->getAttribute('time_zone'))->format('Y-m-d'),
            )
            ->map(
                static fn(StandingTree $t): array => [
                    'id' => $t->id,
                    'standId' => $t->getAttribute('stand_id'),
                    'count' => $t->count,
                    'patch' => $t->getAttribute('patch_name'),
                    'lookBy' => $t->lookBy()->format('Y-m-d'),
                ],
            )
            ->values()
            ->all();
    }

    /** @return list<string> ids of sheets that are out and not signed for: what a phone takes along */
    public function toBeDone(User $user): array
    {
        return Sheet::query()
            ->ofCrew($user)
            ->whereNull('withdrawn_at')
            ->whereDoesntHave('steps.records')
            ->latest('issued_at')
            ->limit(self::MOST_SHEETS)
            ->pluck('id')
            ->all();
    }

    /** @return list<string> */
    private static function working(FieldLog $log): array
    {
        $names = [];
        foreach ($log->spells() as $spell) {
            $spell->to === null && ($names[] = $spell->by);
        }

        return $names;
    }

    /**
     * @param array<string, mixed> $told what the sheet says
     *
     * @return list<array<string, mixed>> as the sheet carries them, with when each was started
     */
    private static function clocks(array $told, FieldLog $log): array
    {
        $carried = array_column($told['field']['clocks'] ?? [], null, 'code');

        return array_values(
            array_filter(
                array_map(
                    static fn(FieldEvent $e): ?array => isset($carried[$e->text('clock')])
                        ? $carried[$e->text('clock')] + [
                                'of' => $e->body['of'] ?? null,
                                'startedAt' => Format::moment($e->at),
                            ]
                        : null,
                    $log->clocks(),
                ),
            ),
        );
    }
}
