<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Crew;
use App\Models\Person;
use App\Models\Stand;
use App\Models\User;
use App\Support\Format;
use App\Text\Sentences;
use Illuminate\Database\Eloquent\Builder;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

/**
 * The days of one person: jobs that are theirs or nobody's, by when their season opens and ends; look-backs; what in
 * the Shed and in the person's own papers falls due.
 */
final readonly class CalendarDesk
{
    private const MOST_STANDS = 200;

    public function __construct(
        private SeasonDesk $seasons,
        private Catalogue $catalogue,
        private Sentences $sentences,
        private PatrolDesk $patrols,
    ) {}

    /**
     * @param bool $all of the whole crew; else what is this person's, or nobody's
     *
     * @return list<CalendarEntry> the soonest first
     */
    public function of(User $user, bool $all = false): array
    {
        $me = $user->crew->people()->where('user_id', $user->id)->first();
        $stands = Stand::query()
            ->ofCrew($user)
            ->inHand()
            ->whereHas('steps')
            ->when(
                !$all,
                static fn($q) => $q->where(
                    static fn($w) => $w->where('person_id', null)->orWhere('person_id', $me?->id),
                ),
            )
            ->withTrail()
            ->orderBy('id')
            ->limit(self::MOST_STANDS)
            ->get();
        $entries = [...$this->planned($user->crew, $all ? null : $me), ...$this->away($user->crew, $all ? null : $me)];
        foreach ($stands as $stand) {
            $entries = [...$entries, ...$this->ofStand($stand)];
        }
        foreach ($user->crew->sprayers()->get() as $sprayer) {
            if ($sprayer->due_on !== null) {
                $entries[] = new CalendarEntry(
                    'calibrate',
                    $sprayer->id,
                    $sprayer->due_on,
                    $this->say('calibrate', ['name' => $sprayer->name]),
                    '',
                    '/shed?view=sprayers',
                );
            }
        }
        foreach ($user->crew->people as $person) {
            if ($person->licence_until !== null && ($all || $person->is($me))) {
                $entries[] = new CalendarEntry(
                    'licence',
                    $person->id,
                    $person->licence_until,
                    $this->say('licence', ['name' => $person->name]),
                    '',
                    '/shed?view=people',
                );
            }
        }
        usort($entries, static fn(CalendarEntry $a, CalendarEntry $b): int => $a->day <=> $b->day);

        return $entries;
    }

    /**
     * Days of the season plan; of one person those that they are needed on.
     *
     * @return list<CalendarEntry>
     */
    private function planned(Crew $crew, ?Person $me): array
    {
        $names = $crew->people->pluck('name', 'id');
        $entries = [];
        $rows = $crew
            ->placements()
            // done, closed or put away is not planned any more
            ->whereHas('step', static fn(Builder $step) => $step->whereDoesntHave('records'))
            ->whereHas('step.stands', static fn($stand) => $stand->inHand())
            ->with(['step.stands', 'step.patch.ground'])
            ->get();
        foreach ($rows as $row) {
            $stand = $row->step->stands->first() ?? throw new \LogicException('asked for by the query');
            foreach ($row->parts as $n => $part) {
                if ($me !== null && !in_array($me->id, $part['people'], true)) {
                    continue;
                }
                $entries[] = new CalendarEntry(
                    'planned',
                    $n === 0 ? $row->step_id : "{$row->step_id}-{$n}",
                    Day::parse($part['day']),
                    $this->say('planned', [
                        'name' => $this->nameOf($stand),
                        'method' => $this->sentences->name("method.{$row->step->method}"),
                        'people' => implode(
                            ', ',
                            array_map(static fn(string $id): string => (string) $names->get($id), $part['people']),
                        ),
                        'n' => count($part['people']),
                        'hours' => Format::hours(Quantity::of($part['minutes'], Unit::Minute))['shown']['us'] ?? '',
                    ]),
                    "{$row->step->patch->name}, {$row->step->patch->ground->name}",
                    "/stands/{$stand->id}/when",
                    $n === 0 ? $row->step_id : null,
                );
            }
        }

        return $entries;
    }

    /** @return list<CalendarEntry> a line for each first day away */
    private function away(Crew $crew, ?Person $me): array
    {
        $names = $crew->people->pluck('name', 'id');
        $entries = [];
        foreach ($crew->daysAway()->get() as $away) {
            if ($me !== null && $away->person_id !== null && $away->person_id !== $me->id) {
                continue;
            }
            $until = \DateTimeImmutable::createFromInterface($away->last_on);
            $entries[] = new CalendarEntry(
                'away',
                $away->id,
                $away->first_on,
                $away->person_id === null
                    ? $this->say('away-all', ['until' => $until])
                    : $this->say('away', ['name' => (string) $names->get($away->person_id), 'until' => $until]),
                '',
                '/season?view=people',
            );
        }

        return $entries;
    }

    private function nameOf(Stand $stand): string
    {
        return $stand->species === null
            ? $this->sentences->name('plant.unnamed')
            : $this->sentences->called($this->catalogue->species($stand->species)->commonName());
    }

    /** @return list<CalendarEntry> */
    private function ofStand(Stand $stand): array
    {
        $trail = Workflow::of($stand, $this->catalogue);
        $where = "{$stand->patch->name}, {$stand->patch->ground->name}";
        $name = $this->nameOf($stand);
        if ($trail->record !== null) {
            return array_values(
                array_filter([
                    $trail->next === 'judged'
                        ? $this->look($stand, 'look-back', $trail->record->id, $trail->record->judge_after, $name)
                        : null,
                    $trail->next === null ? $this->patrol($stand, $name) : null,
                ]),
            );
        }
        $step = Workflow::current($stand);
        if ($step === null) {
            return [];
        }
        $season = $this->seasons->around($stand, $step);
        $values = ['name' => $name, 'method' => $this->sentences->name("method.{$step->method}")];
        $entries = [];
        foreach (['opens' => $season['opens'], 'last-day' => $season['lastDay']] as $what => $day) {
            if ($day !== null) {
                $entries[] = new CalendarEntry(
                    $what,
                    $step->id,
                    $day,
                    $this->say($what, $values),
                    $where,
                    "/stands/{$stand->id}/when",
                );
            }
        }

        return $entries;
    }

    private function patrol(Stand $stand, string $name): ?CalendarEntry
    {
        $patrol = $this->patrols->of($stand);

        return $patrol === null ? null : $this->look($stand, 'patrol', $stand->id, $patrol->next, $name);
    }

    private function look(Stand $stand, string $what, string $id, \DateTimeInterface $day, string $name): CalendarEntry
    {
        return new CalendarEntry(
            $what,
            $id,
            $day,
            $this->say($what, ['name' => $name]),
            "{$stand->patch->name}, {$stand->patch->ground->name}",
            "/stands/{$stand->id}/look-back",
        );
    }

    /** @param array<string, \DateTimeImmutable|int|string> $values */
    private function say(string $what, array $values): string
    {
        return $this->sentences->in("calendar.{$what}", $values, System::Us);
    }
}
