<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Placement;
use App\Models\SettledDuty;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Repositories\SituationRepository;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Illuminate\Database\Eloquent\Collection;
use Thicket\Measure\System;
use Thicket\Practice\Gate;
use Thicket\Practice\Gates as CoreGates;
use Thicket\Safety\Duties;
use Thicket\Safety\Duty;
use Thicket\Safety\Settled;

/** What has to be settled with others before a job, what was, and what is still to be said to whom. */
final readonly class DutyDesk
{
    private const MOST_ON_TODAY = 60;

    public function __construct(
        private SituationRepository $situations,
        private Sentences $sentences,
        private JobClock $clock,
    ) {}

    /** @return list<Gate> */
    public function gates(Stand $stand, Step $step): array
    {
        return CoreGates::ofDuties(
            $this->due($stand, $step),
            array_values(
                $this->recorded($stand, $step)
                    ->whereNull('taken_back_at')
                    ->map(static fn(SettledDuty $row): Settled => $row->told())
                    ->all(),
            ),
            $this->clock->today($stand->patch->ground->time_zone),
        );
    }

    /** @return list<array<string, mixed>> openapi Duty: each with what counts of all that is recorded of it */
    public function told(Stand $stand, Step $step): array
    {
        $all = $this->recorded($stand, $step)->load(['author', 'taker']);
        $rows = $all->whereNull('taken_back_at')->values()->all();
        $gone = $all->whereNotNull('taken_back_at')->sortByDesc('taken_back_at')->all();
        $recorded = array_map(static fn(SettledDuty $row): Settled => $row->told(), $rows);
        $zone = $stand->patch->ground->time_zone;
        $today = $this->clock->today($zone);
        $due = $this->due($stand, $step);
        $told = array_filter($due, static fn(Duty $one): bool => !$one->kind->isPaper()) !== [];
        $work = $told ? self::workDay($step) : null;
        $message = $told ? $this->message($stand, $step, $work) : null;

        return array_map(function (Duty $duty) use ($rows, $gone, $recorded, $zone, $today, $work, $message): array {
            $settled = Settled::of($duty, array_values($recorded), $today);
            $at = $settled === null ? false : array_search($settled, $recorded, true);
            $values = [
                'keeper' => $duty->keeper ?? '',
                'far' => $duty->distance === null ? 'no' : 'yes',
                'distance' => $duty->distance ?? '',
            ];

            return [
                'kind' => $duty->kind->value,
                'keeper' => $duty->keeper,
                'name' => $this->sentences->name("duty.{$duty->kind->value}"),
                'why' => $this->sentences->both("duty.why.{$duty->kind->value}", $values),
                'paper' => $duty->kind->isPaper(),
                'hasNumber' => $duty->kind->hasNumber(),
                'needsEnd' => $duty->kind->needsEnd(),
                'needsBoundary' => $duty->kind->needsBoundary(),
                'by' => $duty->kind->isPaper() || $work === null ? null : Format::day(Duties::tellBy($work)),
                'message' => $duty->kind->isPaper() ? null : $message,
                'open' => $settled?->holdsOn($today) !== true,
                'settled' => $at === false ? null : self::row($rows[$at]),
                'takenBack' => $at === false ? self::gone($duty, $gone, $zone) : null,
            ];
        }, $due);
    }

    /**
     * @return list<array<string, mixed>> what a sheet says of it: openapi SheetSnapshot/duties
     */
    public function forSheet(Stand $stand, Step $step): array
    {
        return array_map(
            static fn(array $one): array => [
                'name' => $one['name'],
                'keeper' => $one['keeper'],
                'paper' => $one['paper'],
                'settled' => $one['settled'],
            ],
            $this->told($stand, $step),
        );
    }

    /** @return list<array<string, mixed>> what is under way, the first day first: openapi Today/duties */
    public function underWay(User $user): array
    {
        $rows = SettledDuty::query()
            ->where([
                'settled_duties.crew_id' => $user->crew_id,
                'state' => Settled::UNDER_WAY,
                'taken_back_at' => null,
            ])
            ->orderBy('on')
            ->limit(self::MOST_ON_TODAY)
            ->join('grounds', 'grounds.id', '=', 'settled_duties.ground_id')
            ->leftJoin('stand_step', 'stand_step.step_id', '=', 'settled_duties.step_id');
        $out = [];
        /** @var SettledDuty $row */
        foreach ($rows->get(['settled_duties.*', 'grounds.name as ground_name', 'stand_step.stand_id']) as $row) {
            $out[] = [
                'id' => $row->id,
                'name' => $this->sentences->name("duty.{$row->kind->value}"),
                'paper' => $row->kind->isPaper(),
                'who' => $row->who,
                'ground' => $row->getAttribute('ground_name'),
                'groundId' => $row->ground_id,
                'standId' => $row->getAttribute('stand_id'),
                'by' => Format::day($row->on),
            ];
        }

        return $out;
    }

    /** @return list<Duty> */
    private function due(Stand $stand, Step $step): array
    {
        $option = $this->situations->option($step, $stand->patch->ground->crew);

        return Duties::of($this->situations->situation($stand), [$option, ...$option->partners]);
    }

    /** @return Collection<int, SettledDuty> the newest first */
    private function recorded(Stand $stand, Step $step): Collection
    {
        return SettledDuty::query()->forStep($step, $stand->patch)->get();
    }

    /** The day that is planned for the work, else the first on which it may be. */
    private static function workDay(Step $step): ?\DateTimeImmutable
    {
        $placed = Placement::query()->find($step->id)?->first_on;

        return ($placed ?? $step->due_from)?->toDateTimeImmutable();
    }

    /** What may be said to whoever is told. */
    private function message(Stand $stand, Step $step, ?\DateTimeImmutable $work): string
    {
        return $this->sentences->in(
            $step->cardVersion === null ? 'duty.message-plain' : 'duty.message',
            [
                'day' => $work === null ? '' : $this->sentences->day($work),
                'known' => $work === null ? 'no' : 'yes',
                'patch' => $stand->patch->name,
                'ground' => $stand->patch->ground->name,
                'method' => $this->sentences->name("method.{$step->method}"),
                'product' => $step->cardVersion->card->product ?? '',
                'crew' => $stand->patch->ground->crew->name,
            ],
            System::Us,
        );
    }

    /**
     * @param array<SettledDuty> $gone that which was taken back last first
     *
     * @return array{who: string, on: string|null, by: string}|null what held once and does not any more
     */
    private static function gone(Duty $duty, array $gone, string $zone): ?array
    {
        foreach ($gone as $row) {
            if ($row->taken_back_at !== null && $row->told()->isOf($duty)) {
                $on = JobClock::dayOf($row->taken_back_at, $zone);

                return ['who' => $row->who, 'on' => Format::day($on), 'by' => $row->taker->name ?? ''];
            }
        }

        return null;
    }

    /** @return array<string, mixed> openapi SettledDuty */
    private static function row(SettledDuty $row): array
    {
        return [
            'id' => $row->id,
            'state' => $row->state,
            'who' => $row->who,
            'number' => $row->number,
            'on' => Format::day($row->on),
            'until' => Format::day($row->until),
            'text' => $row->text,
            'wholeGround' => $row->patch_id === null,
            'boundaryChecked' => $row->boundary_checked,
            'by' => $row->author->name,
        ];
    }
}
