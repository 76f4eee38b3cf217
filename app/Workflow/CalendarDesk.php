<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Stand;
use App\Models\User;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\System;

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
    ) {}

    /** @return list<CalendarEntry> the soonest first */
    public function of(User $user): array
    {
        $me = $user->crew->people()->where('user_id', $user->id)->first();
        $stands = Stand::query()
            ->ofCrew($user)
            ->inHand()
            ->whereHas('steps')
            ->where(static fn($q) => $q->where('person_id', null)->orWhere('person_id', $me?->id))
            ->withTrail()
            ->limit(self::MOST_STANDS)
            ->get();
        $entries = [];
        foreach ($stands as $stand) {
            $entries = [...$entries, ...$this->ofStand($stand)];
        }
        foreach ($user->crew->sprayers()->get() as $sprayer) {
            if ($sprayer->due_on !== null) {
                $entries[] = new CalendarEntry(
                    "calibrate-{$sprayer->id}",
                    $sprayer->due_on,
                    $this->say('calibrate', ['name' => $sprayer->name]),
                    '',
                    '/shed?view=sprayers',
                );
            }
        }
        if ($me?->licence_until !== null) {
            $entries[] = new CalendarEntry(
                "licence-{$me->id}",
                $me->licence_until,
                $this->say('licence', ['name' => $me->name]),
                '',
                '/shed?view=people',
            );
        }
        usort($entries, static fn(CalendarEntry $a, CalendarEntry $b): int => $a->day <=> $b->day);

        return $entries;
    }

    /** @return list<CalendarEntry> */
    private function ofStand(Stand $stand): array
    {
        $trail = Workflow::of($stand, $this->catalogue);
        $where = "{$stand->patch->name}, {$stand->patch->ground->name}";
        $name =
            $stand->species === null
                ? $this->sentences->name('plant.unnamed')
                : $this->catalogue->species($stand->species)->commonName();
        if ($trail->record !== null) {
            return $trail->next !== 'judged'
                ? []
                : [
                    new CalendarEntry(
                        "look-back-{$trail->record->id}",
                        $trail->record->judge_after,
                        $this->say('look-back', ['name' => $name]),
                        $where,
                        "/stands/{$stand->id}/look-back",
                    ),
                ];
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
                    "{$what}-{$step->id}",
                    $day,
                    $this->say($what, $values),
                    $where,
                    "/stands/{$stand->id}/when",
                );
            }
        }

        return $entries;
    }

    /** @param array<string, string> $values */
    private function say(string $what, array $values): string
    {
        return $this->sentences->in("calendar.{$what}", $values, System::Us);
    }
}
