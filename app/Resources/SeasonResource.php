<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Crew;
use App\Models\DaysAway;
use App\Models\Person;
use App\Models\Placement;
use App\Support\Format;
use App\Text\Sentences;
use App\Workflow\PlanDesk;
use App\Workflow\PlannedJob;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\SeasonPlan\Proposal;
use Thicket\SeasonPlan\Season;
use Thicket\SeasonPlan\Span;
use Thicket\SeasonPlan\WorkingWeek;

/** The season of a crew: its terms, who works when, the jobs with their open days, and the plan. */
final readonly class SeasonResource
{
    public function __construct(
        private PlanDesk $desk,
        private PlanResource $plans,
        private BoardResource $board,
        private Catalogue $catalogue,
        private Sentences $sentences,
    ) {}

    /**
     * @param list<PlannedJob> $jobs
     *
     * @return array<string, mixed>
     */
    public function season(Crew $crew, Season $season, array $jobs, Proposal $plan, bool $isKept): array
    {
        $terms = $this->desk->terms($crew);
        $kept = $crew->placements()->get()->keyBy('step_id');
        $names = $this->names($jobs);
        $placed = array_map(static fn($p): string => $p->job, $plan->placements);

        return [
            'day' => Format::day($season->first),
            'terms' => [
                'last' => Format::day($season->last),
                'money' => $terms->money === null ? null : number_format($terms->money / 100, 2, '.', ''),
                'mixADay' => Format::quantity(
                    $terms->litres_a_day === null ? null : Quantity::of($terms->litres_a_day, Unit::Litre),
                ),
                'currency' => $crew->currency(),
                'revision' => $terms->revision,
            ],
            'keptAt' => Format::moment($terms->kept_at, $crew->timeZone()),
            'kept' => $isKept,
            'people' => array_values($crew->people->map($this->person(...))->all()),
            'away' => array_values(
                $crew
                    ->daysAway()
                    ->where('last_on', '>=', $season->first->format('Y-m-d'))
                    ->get()
                    ->map(
                        static fn(DaysAway $a): array => [
                            'id' => $a->id,
                            'person' => $a->person_id,
                            'first' => Format::day($a->first_on),
                            'last' => Format::day($a->last_on),
                            'note' => $a->note,
                            'source' => $a->source,
                        ],
                    )
                    ->all(),
            ),
            'jobs' => array_map(
                fn(PlannedJob $job): array => $this->job($job, $names[$job->step->id], $kept->get($job->step->id)),
                $jobs,
            ),
            'plan' => $this->plans->proposal($plan, $season, $names),
            // what stood in the plan that is followed and does not hold any more
            'fallen' => $isKept
                ? array_values(array_diff(array_intersect($kept->keys()->all(), array_keys($names)), $placed))
                : [],
        ];
    }

    /**
     * @param list<PlannedJob> $jobs
     *
     * @return array<string, string> of jobs and of the units that they are done with, by id
     */
    public function names(array $jobs): array
    {
        $names = [];
        foreach ($jobs as $job) {
            $names[$job->step->id] = $this->name($job);
            $job->step->sprayer === null || ($names[$job->step->sprayer->id] = $job->step->sprayer->name);
        }

        return $names;
    }

    private function name(PlannedJob $job): string
    {
        $plant =
            $job->stand->species === null
                ? $this->sentences->name('plant.unnamed')
                : $this->sentences->called($this->catalogue->species($job->stand->species)->commonName());

        return $this->sentences->name("method.{$job->step->method}") . ", {$plant}";
    }

    /** @return array<string, mixed> */
    private function person(Person $person): array
    {
        return [
            'id' => $person->id,
            'revision' => $person->revision,
            'name' => $person->name,
            'volunteer' => $person->volunteer,
            'weekdays' => array_map(strval(...), $person->weekdays ?? WorkingWeek::USUAL_DAYS),
            'timeADay' => Format::hours(
                Quantity::of($person->minutes_a_day ?? WorkingWeek::USUAL_MINUTES, Unit::Minute),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function job(PlannedJob $planned, string $name, ?Placement $kept): array
    {
        $job = $planned->job;

        return [
            'id' => $job->id,
            'standId' => $planned->stand->id,
            'name' => $name,
            'patch' => $planned->stand->patch->name,
            'ground' => $planned->stand->patch->ground->name,
            'hours' =>
                $job->needs->minutes === null ? null : Format::hours(Quantity::of($job->needs->minutes, Unit::Minute)),
            // told by somebody, not reckoned
            'hoursTold' => $planned->step->told_minutes !== null,
            'revision' => $planned->step->revision,
            'open' => array_map(
                static fn(Span $s): array => [
                    'first' => Format::day($s->first),
                    'last' => Format::day($s->last),
                    'withCare' => $s->withCare,
                ],
                $job->open,
            ),
            'shut' => $this->shut($planned),
            'worth' => array_map(
                fn(string $reason): string => $this->sentences->name("plan.worth.{$reason}"),
                $job->worth->reasons,
            ),
            'spreads' => $planned->stand->spreads,
            'promisedBy' => Format::day($planned->stand->promised_by),
            'standRevision' => $planned->stand->revision,
            'after' => $job->after === [] ? null : $job->after[0]->job,
            'pinned' => $kept?->pinned === true,
        ];
    }

    /**
     * Why it is open on no day of the season: what the rules say, or its programme's days that are over.
     *
     * @return array{us: string, metric: string}|null
     */
    private function shut(PlannedJob $planned): ?array
    {
        $over = $planned->step->dueTo();

        return match (true) {
            $planned->job->open !== [] => null,
            $planned->shut !== null => $this->board->text($planned->shut),
            $over !== null => $this->sentences->both('plan.shut.over', ['day' => $over]),
            default => null,
        };
    }
}
