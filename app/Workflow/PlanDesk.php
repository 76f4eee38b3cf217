<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Crew;
use App\Models\DaysAway;
use App\Models\Ground;
use App\Models\Patch;
use App\Models\Person;
use App\Models\Placement as PlacementRow;
use App\Models\SeasonPlan;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\SituationRepository;
use App\Support\JobClock;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\ProgrammeStep;
use Thicket\Practice\PlannedPass;
use Thicket\SeasonPlan\After;
use Thicket\SeasonPlan\Audit;
use Thicket\SeasonPlan\Hand;
use Thicket\SeasonPlan\Job;
use Thicket\SeasonPlan\Part;
use Thicket\SeasonPlan\Placement;
use Thicket\SeasonPlan\Season;
use Thicket\SeasonPlan\Travel;
use Thicket\SeasonPlan\WorkingWeek;
use Thicket\Survey\LocalPlane;

/** Makes a season of what a crew has chosen and who it is, and keeps the plan that it follows. */
final class PlanDesk
{
    private const MOST_STANDS = 200;
    /** Looked so far ahead where nobody said till when. */
    private const USUAL_DAYS = 365;

    public function __construct(
        private readonly SituationRepository $situations,
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
    ) {}

    /** The plan's terms as they are kept, or as usual. */
    public function terms(Crew $crew): SeasonPlan
    {
        return $crew->seasonPlan ??
            (new SeasonPlan())->forceFill([
                'crew_id' => $crew->id,
                'last_on' => $this->today($crew)
                    ->modify('+' . (self::USUAL_DAYS - 1) . ' days')
                    ->format('Y-m-d'),
                'revision' => 0,
            ]);
    }

    public function today(Crew $crew): \DateTimeImmutable
    {
        return $this->clock->today($crew->timeZone());
    }

    /** @return list<PlannedJob> of all stands in hand whose way is chosen and not done */
    public function jobs(Crew $crew): array
    {
        $terms = $this->terms($crew);
        $first = $this->today($crew);
        // a pin of a day that is gone holds nothing
        $pins = $crew
            ->placements()
            ->where('pinned', true)
            ->where('first_on', '>=', $first->format('Y-m-d'))
            ->pluck('first_on', 'step_id');
        $last = max($first, Day::parse($terms->last_on->format('Y-m-d')));
        $stands = Stand::query()
            ->whereHas('patch.ground', static fn($ground) => $ground->where('crew_id', $crew->id))
            ->inHand()
            ->whereHas('steps')
            ->withTrail()
            ->orderBy('id')
            ->limit(self::MOST_STANDS)
            ->get();
        $jobs = [];
        foreach ($stands as $stand) {
            foreach ($this->openSteps($stand) as $step) {
                // years to come are planned when they come
                if ($step->dueFrom() === null || $step->dueFrom() <= $last) {
                    $jobs[$step->id] ??= $this->job($stand, $step, $first, $last, $pins->get($step->id));
                }
            }
        }

        return array_values($jobs);
    }

    /** @param list<PlannedJob> $jobs */
    public function season(Crew $crew, array $jobs): Season
    {
        $terms = $this->terms($crew);
        $first = $this->today($crew);
        $last = max($first, Day::parse($terms->last_on->format('Y-m-d')));
        $away = $crew->daysAway()->where('last_on', '>=', $first->format('Y-m-d'))->get();
        $units = array_merge([], ...array_map(static fn(PlannedJob $j): array => $j->job->needs->kit, $jobs));
        $tools = array_merge([], ...array_map(static fn(PlannedJob $j): array => $j->job->needs->tools, $jobs));

        return new Season(
            $first,
            $last,
            array_map(static fn(PlannedJob $j): Job => $j->job, $jobs),
            array_values(
                $crew->people->map(static fn(Person $p): Hand => self::hand($p, $first, $last, $away->all()))->all(),
            ),
            $this->travel($crew, $jobs),
            array_fill_keys($units, 1) + $this->tools($crew, array_values(array_unique($tools))),
            $terms->money,
            $terms->litres_a_day,
        );
    }

    /** @return list<Placement> the plan that is followed, days gone by left out */
    public function kept(Crew $crew): array
    {
        return array_values(
            $crew
                ->placements()
                ->where('first_on', '>=', $this->today($crew)->format('Y-m-d'))
                ->get()
                ->map(
                    static fn(PlacementRow $row): Placement => new Placement(
                        $row->step_id,
                        array_map(
                            static fn(array $p): Part => new Part(Day::parse($p['day']), $p['people'], $p['minutes']),
                            $row->parts,
                        ),
                    ),
                )
                ->all(),
        );
    }

    /** @param list<Placement> $plan what is followed from now on; pins stay with their jobs */
    public function keep(Crew $crew, Season $season, array $plan): void
    {
        $broken = Audit::of($season, $plan);
        if ($broken !== []) {
            throw new \LogicException('A plan that breaks a limit: ' . implode('; ', $broken));
        }
        $terms = $this->terms($crew);
        $terms->kept_at = \Illuminate\Support\Carbon::instance($this->clock->now());
        $terms->revision++;
        $terms->save();
        $crew->setRelation('seasonPlan', $terms);
        $pinned = $crew->placements()->where('pinned', true)->pluck('step_id')->all();
        $crew->placements()->delete();
        foreach ($plan as $placement) {
            $this->put($crew, $placement, in_array($placement->job, $pinned, true));
        }
    }

    public function put(Crew $crew, Placement $placement, bool $pinned): void
    {
        PlacementRow::query()->updateOrCreate(
            ['step_id' => $placement->job],
            [
                'crew_id' => $crew->id,
                'first_on' => $placement->first()->format('Y-m-d'),
                'parts' => array_map(
                    static fn(Part $p): array => [
                        'day' => $p->day->format('Y-m-d'),
                        'people' => $p->people,
                        'minutes' => $p->minutes,
                    ],
                    $placement->parts,
                ),
                'pinned' => $pinned,
            ],
        );
    }

    /** @return list<Step> jobs of a stand that are still to be done; of a single way the one in hand */
    private function openSteps(Stand $stand): array
    {
        $current = Workflow::current($stand);

        return array_values(
            $stand->steps
                ->filter(
                    static fn(Step $s): bool => $s->records->isEmpty() &&
                        ($s->is($current) || ($s->run !== null && $s->run === $current?->run)),
                )
                ->all(),
        );
    }

    private function job(
        Stand $stand,
        Step $step,
        \DateTimeImmutable $first,
        \DateTimeImmutable $last,
        ?\DateTimeInterface $pin,
    ): PlannedJob {
        $crew = $stand->patch->ground->crew;
        $situation = $this->situations->situation($stand);
        $given = $this->given($step);
        $tank = [$this->situations->option($step, $crew), ...$this->situations->partners($step, $crew)];
        $answered = $given?->answers() ?? [];
        $asItIs = new PlannedPass($situation, $tank, $answered);
        // how much comes back nobody knows before it is counted: it takes as long as the first time, at most
        $pass = $given?->isAfterwards() === true ? new PlannedPass($situation->comeBack(), $tank, $answered) : $asItIs;
        $hours = $pass->reentryHours();
        [$after, $notBefore] = $this->after($stand, $step, $given);

        $needs = $asItIs->needs($step->sprayer_id === null ? [] : [$step->sprayer_id]);
        $begins = self::later($step->dueFrom(), $notBefore);
        $open = $pass->open($first, $last, $begins, $step->dueTo());

        return new PlannedJob(
            new Job(
                $step->id,
                $stand->patch_id,
                $step->told_minutes === null ? $needs : $needs->taking($step->told_minutes),
                $open,
                $pass->worth(
                    $step->run !== null &&
                        $stand->steps->contains(
                            static fn(Step $s): bool => $s->run === $step->run && $s->records->isNotEmpty(),
                        ),
                    $stand->spreads,
                    self::dayOf($stand->promised_by),
                ),
                $after,
                $hours === null ? null : Job::daysClosed($hours),
                self::dayOf($pin),
                $stand->person_id === null || !$step->is(Workflow::current($stand)) ? [] : [$stand->person_id],
            ),
            $stand,
            $step,
            $open === [] ? $pass->shutBy(max($first, $begins ?? $first)) : null,
        );
    }

    /**
     * What a step of a programme waits for: the one before it, by so many days; where that is done, a day.
     *
     * @return array{list<After>, \DateTimeImmutable|null}
     */
    private function after(Stand $stand, Step $step, ?ProgrammeStep $given): array
    {
        $before = $stand->steps->last(
            static fn(Step $s): bool => $step->run !== null && $s->run === $step->run && $s->position < $step->position,
        );
        if ($before === null || $given === null) {
            return [[], null];
        }
        $days = $given->daysAfter($before->note);
        $record = $before->records->first();

        return $record === null
            ? [[new After($before->id, $days)], null]
            : [[], Day::parse($record->worked_on->format('Y-m-d'))->modify("+{$days} days")];
    }

    private function given(Step $step): ?ProgrammeStep
    {
        if ($step->programme === null || !$this->catalogue->hasProgramme($step->programme)) {
            return null;
        }
        foreach ($this->catalogue->programme($step->programme)->steps() as $given) {
            if ($given->note() === $step->note && in_array($step->method, $given->methods(), true)) {
                return $given;
            }
        }

        return null;
    }

    /** @param array<array-key, DaysAway> $away */
    private static function hand(Person $person, \DateTimeImmutable $first, \DateTimeImmutable $last, array $away): Hand
    {
        $clearances = array_fill_keys($person->clearances, null);
        $person->volunteer || ($clearances[PlannedPass::TRAINED] = null);
        if ($person->licence !== null && $person->licence_until !== null) {
            $clearances[PlannedPass::LICENCE] = self::dayOf($person->licence_until);
        }
        $mine = array_filter(
            $away,
            static fn(DaysAway $a): bool => $a->person_id === null || $a->person_id === $person->id,
        );
        $week = new WorkingWeek(
            $person->weekdays ?? WorkingWeek::USUAL_DAYS,
            $person->minutes_a_day ?? WorkingWeek::USUAL_MINUTES,
        );

        return new Hand(
            $person->id,
            $clearances,
            $week->minutes(
                $first,
                $last,
                array_values(
                    array_map(
                        static fn(DaysAway $a): array => [
                            Day::parse($a->first_on->format('Y-m-d')),
                            Day::parse($a->last_on->format('Y-m-d')),
                        ],
                        $mine,
                    ),
                ),
            ),
        );
    }

    /**
     * How many tools the crew has for each need. What it has none of is not counted: it can still be got, and Methods
     * says that it is missing.
     *
     * @param list<string> $needs
     *
     * @return array<string, int>
     */
    private function tools(Crew $crew, array $needs): array
    {
        $held = $crew->tools()->whereNull('gone_at')->pluck('kind')->countBy();
        $counts = [];
        foreach ($needs as $need) {
            $counts[$need] = 0;
            foreach ($this->catalogue->toolsThatMeet($need) as $kind) {
                $counts[$need] += (int) $held->get($kind->id(), 0);
            }
        }

        return array_filter($counts);
    }

    /** @param list<PlannedJob> $jobs */
    private function travel(Crew $crew, array $jobs): Travel
    {
        // the Shed is taken to stand on the crew's first ground
        $ground = $crew->grounds()->reorder('created_at')->orderBy('id')->first();
        $shed = $ground instanceof Ground ? $ground->position() : [0.0, 0.0];
        $plane = new LocalPlane($shed);
        $places = [Travel::SHED => [0.0, 0.0]];
        foreach ($jobs as $job) {
            $places[$job->stand->patch_id] ??= $plane->metres(self::middle($job->stand->patch));
        }

        return Travel::byDistance($places);
    }

    /** @return array{float, float} longitude and latitude of the middle of its box, or of its ground */
    private static function middle(Patch $patch): array
    {
        $box = $patch->box();

        return $box === null ? $patch->ground->position() : [($box[0] + $box[2]) / 2, ($box[1] + $box[3]) / 2];
    }

    private static function dayOf(?\DateTimeInterface $day): ?\DateTimeImmutable
    {
        return $day === null ? null : Day::parse($day->format('Y-m-d'));
    }

    private static function later(?\DateTimeImmutable $one, ?\DateTimeImmutable $other): ?\DateTimeImmutable
    {
        return $one === null || $other === null ? $one ?? $other : max($one, $other);
    }
}
