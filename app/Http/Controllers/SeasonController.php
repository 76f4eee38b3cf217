<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\SeasonTermsReader;
use App\Http\Readers\WorkingWeekReader;
use App\Http\Readers\WorkTimeReader;
use App\Http\SecurityLog;
use App\Models\Crew;
use App\Models\DaysAway;
use App\Models\Person;
use App\Repositories\CrewRows;
use App\Resources\PlanResource;
use App\Resources\SeasonResource;
use App\Support\BusyCalendar;
use App\Workflow\PlanDesk;
use App\Workflow\PlannedJob;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Thicket\Calendar\Day;
use Thicket\Input\Fields;
use Thicket\SeasonPlan\Job;
use Thicket\SeasonPlan\Placement;
use Thicket\SeasonPlan\Season;
use Thicket\SeasonPlan\SeasonPlanner;

/** The season of a crew: a plan is proposed, kept, and moved job by job within what holds. */
final class SeasonController extends Controller
{
    private const MOST_AWAY = 2000;

    public function __construct(
        private readonly PlanDesk $desk,
        private readonly SeasonResource $resource,
        private readonly SeasonTermsReader $terms,
        private readonly WorkingWeekReader $weeks,
    ) {}

    /** The plan that is followed, as far as it still holds. */
    public function show(Request $request): JsonResponse
    {
        $this->done($this->query($request));

        return $this->followed($this->user($request)->crew);
    }

    /** What the planner would do now; nothing is kept. */
    public function propose(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;
        [$season, $jobs, $before] = $this->asked($request, $crew);

        return $this->json(
            $this->resource->season($crew, $season, $jobs, SeasonPlanner::plan($season, $before), false),
        );
    }

    /** Keeps what is proposed now. */
    public function store(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;
        [$season, , $before] = $this->asked($request, $crew);
        $this->desk->keep($crew, $season, SeasonPlanner::plan($season, $before)->placements);

        return $this->followed($crew);
    }

    public function updateTerms(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $terms = $this->desk->terms($crew);
        $in = $this->fields($request);
        $given = $this->terms->read($in, $this->desk->today($crew));
        $this->done($in);
        $this->mustMatch($request, $terms->revision, fn(): array => ['revision' => $terms->revision]);
        $terms->forceFill($given + ['revision' => $terms->revision + 1])->save();
        $crew->setRelation('seasonPlan', $terms);

        return $this->followed($crew);
    }

    /** Puts one job on a day and pins it there, everything else where it stands; null lets it go again. */
    public function move(Request $request, string $stepId, PlanResource $plans): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $in = $this->fields($request);
        $day = $in->dayOrNull('day');
        $jobs = $this->desk->jobs($crew);
        $mine =
            array_values(array_filter($jobs, static fn(PlannedJob $j): bool => $j->step->id === $stepId))[0] ?? null;
        $this->done($in);
        if ($mine === null) {
            throw new Stopped(404, 'There is no such job in this season.');
        }
        if ($day === null) {
            $crew
                ->placements()
                ->where('step_id', $stepId)
                ->update(['pinned' => false]);

            return $this->followed($crew);
        }
        $season = $this->desk->season($crew, $jobs);
        // the job may leave the day that it was pinned to
        $season = $season->having(
            jobs: array_map(static fn(Job $j): Job => $j->id === $stepId ? $j->pinnedTo(null) : $j, $season->jobs),
        );
        $moved = SeasonPlanner::move($season, $this->desk->kept($crew), $stepId, $day);
        if (!($moved instanceof Placement)) {
            $said = $plans->refused($moved[0], $this->resource->names($jobs))['us'];
            $in->fault('day', $said);
            $in->faults->throwIfAny();
        } else {
            $this->desk->put($crew, $moved, true);
        }

        return $this->followed($crew);
    }

    /** Tells how long one job takes, where nobody can reckon it or the crew knows better; null to reckon it again. */
    public function updateTime(Request $request, string $stepId, WorkTimeReader $times): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $step = CrewRows::step($this->user($request), $stepId);
        $in = $this->fields($request);
        $minutes = $times->read($in);
        $this->done($in);
        $this->mustMatch($request, $step->revision, fn(): array => ['revision' => $step->revision]);
        $step->forceFill(['told_minutes' => $minutes, 'revision' => $step->revision + 1])->save();

        return $this->followed($crew);
    }

    /** How somebody works: days of the week, how long, and whether as a volunteer. */
    public function updatePerson(Request $request, string $personId): JsonResponse
    {
        Gate::authorize('lead');
        $crew = $this->user($request)->crew;
        $person = Person::query()->where('crew_id', $crew->id)->findOrFail($personId);
        $in = $this->fields($request);
        $week = $this->weeks->read($in);
        $this->done($in);
        $this->mustMatch($request, $person->revision, fn(): array => ['revision' => $person->revision]);
        SecurityLog::note('working week or volunteer changed', $request, ['person' => $person->id]);
        $person->forceFill($week + ['revision' => $person->revision + 1])->save();

        return $this->followed($crew->refresh());
    }

    public function storeAway(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $in = $this->fields($request);
        $person = $this->personOf($in, $crew);
        [$first, $last] = [$in->day('first'), $in->day('last')];
        if ($first !== null && $last !== null && ($last < $first || Day::between($first, $last) > Season::MOST_DAYS)) {
            $in->fault('last', 'Give the last day away, on or after the first.');
        }
        $note = $in->textOrNull('note', 120);
        if ($crew->daysAway()->count() >= self::MOST_AWAY) {
            $in->fault('first', 'There are more times away than are kept; take old ones out first.');
        }
        $this->done($in);
        DaysAway::create([
            'crew_id' => $crew->id,
            'person_id' => $person,
            'first_on' => $first?->format('Y-m-d'),
            'last_on' => $last?->format('Y-m-d'),
            'note' => $note,
            'source' => DaysAway::TYPED,
        ]);

        return $this->followed($crew, 201);
    }

    public function destroyAway(Request $request, string $awayId): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $crew->daysAway()->findOrFail($awayId)->delete();

        return $this->followed($crew);
    }

    /** Takes busy days from somebody's calendar file; those of the file before it go. */
    public function readBusy(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;
        $in = $this->fields($request);
        $person = $this->personOf($in, $crew, true);
        $text = $in->document('document', BusyCalendar::MOST_BYTES);
        $first = $this->desk->today($crew);
        $spans =
            $text === null
                ? []
                : BusyCalendar::read(
                    $text,
                    new \DateTimeZone($crew->timeZone()),
                    $first,
                    $first->modify('+' . (Season::MOST_DAYS - 1) . ' days'),
                );
        is_string($spans) && $in->fault('document', $spans);
        $this->done($in);
        $crew->daysAway()->where('person_id', $person)->where('source', DaysAway::CALENDAR)->delete();
        foreach (is_array($spans) ? $spans : [] as [$from, $until]) {
            DaysAway::create([
                'crew_id' => $crew->id,
                'person_id' => $person,
                'first_on' => $from->format('Y-m-d'),
                'last_on' => $until->format('Y-m-d'),
                'source' => DaysAway::CALENDAR,
            ]);
        }

        return $this->followed($crew, 201);
    }

    /** What makes one stand go before another where not all can be done. */
    public function updatePriority(Request $request, string $standId): JsonResponse
    {
        $user = $this->user($request);
        $stand = CrewRows::openStand($user, $standId);
        $in = $this->fields($request);
        $spreads = $in->bool('spreads', false);
        $promised = $in->dayOrNull('promisedBy');
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => ['id' => $stand->id]);
        $stand
            ->forceFill([
                'spreads' => $spreads,
                'promised_by' => $promised?->format('Y-m-d'),
                'revision' => $stand->revision + 1,
            ])
            ->save();

        return $this->followed($user->crew);
    }

    private function followed(Crew $crew, int $status = 200): JsonResponse
    {
        $jobs = $this->desk->jobs($crew);
        $season = $this->desk->season($crew, $jobs);

        return $this->json(
            $this->resource->season(
                $crew,
                $season,
                $jobs,
                SeasonPlanner::hold($season, $this->desk->kept($crew)),
                true,
            ),
            $status,
        );
    }

    /** @return array{Season, list<PlannedJob>, list<Placement>} with the plan that as little of as may be moves */
    private function asked(Request $request, Crew $crew): array
    {
        $in = $this->fields($request);
        $anew = $in->bool('anew', false);
        $this->done($in);
        $jobs = $this->desk->jobs($crew);

        return [$this->desk->season($crew, $jobs), $jobs, $anew ? [] : $this->desk->kept($crew)];
    }

    private function personOf(Fields $in, Crew $crew, bool $needed = false): ?string
    {
        $person = $needed ? $in->uuid('person') : $in->uuidOrNull('person');
        if ($person !== null && !$crew->people()->whereKey($person)->exists()) {
            $in->fault('person', 'This is nobody of the crew; choose one of the people in the Shed.');
        }

        return $person;
    }
}
