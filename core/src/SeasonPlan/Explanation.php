<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;

/**
 * Why each job stands where it does, why others stand nowhere, and what would make room for them. Room is not guessed:
 * each way is tried on the plan as it is, by itself.
 *
 * @internal to the season plan
 *
 * @phpstan-import-type Days from Schedule
 */
final class Explanation
{
    /** Days on which a job can begin; as few as that and they are why it stands there. */
    private const FEW_DAYS = 14;
    private const MOST_SWAPS_TRIED = 8;

    /** @var array<string, Schedule> the plan as it would be with more of something */
    private array $wider = [];

    /** @param array<string, Placement> $was */
    public function __construct(
        private readonly Season $season,
        private readonly Table $table,
        private readonly Schedule $schedule,
        private readonly array $was,
    ) {}

    public function told(): Proposal
    {
        $why = [];
        $leftOut = [];
        $unpriced = [];
        foreach ($this->season->jobs as $j => $job) {
            if ($this->schedule->has($j)) {
                $why[$job->id] = $this->whyThere($j, $job);
                $job->needs->money === null && ($unpriced[] = $job->id);
            } else {
                $leftOut[] = new LeftOut($job->id, $this->whyNot($j, $job), $this->room($j, $job));
            }
        }

        return new Proposal(
            $this->schedule->placements(),
            $why,
            $leftOut,
            $this->schedule->value(),
            UpperBound::of($this->table),
            $this->schedule->road(),
            $unpriced,
        );
    }

    /** @return list<Reason> */
    private function whyThere(int $j, Job $job): array
    {
        $days = $this->schedule->days($j);
        $first = $this->season->dayAt($days[0][0]);
        $last = $this->season->dayAt($days[count($days) - 1][0]);
        $span = $this->spanOf($job, $first);
        $reasons = [
            new Reason($span->withCare ? 'open-with-care' : 'open', ['first' => $span->first, 'last' => $span->last]),
        ];
        $was = $this->was[$job->id] ?? null;
        $isLoose = !isset($this->table->pin[$j]);
        $isLoose || ($reasons[] = new Reason('pinned'));
        if ($was !== null && $isLoose) {
            $reasons[] =
                $was->first() == $first ? new Reason('as-before') : new Reason('moved', ['from' => $was->first()]);
        }
        foreach ($this->table->after[$j] as [$k, $least]) {
            $reasons[] = new Reason('after', ['job' => $this->season->jobs[$k]->id, 'days' => $least]);
        }
        $workable = count(
            array_filter(array_keys($this->table->value[$j]), fn(int $day): bool => isset($this->table->minutes[$day])),
        );
        if ($workable <= self::FEW_DAYS) {
            $reasons[] = new Reason('few-days', ['days' => $workable]);
        }
        $best = $job->worth->bestBefore;
        if ($best !== null) {
            $reasons[] = new Reason($last <= $best ? 'in-time' : 'past-its-day', ['day' => $best]);
        }
        if ($this->schedule->sharesWay($j, $days)) {
            $reasons[] = new Reason('shares-way');
        }
        if (count($days) > 1) {
            $reasons[] = new Reason('several-days', ['days' => count($days)]);
        }

        return $reasons;
    }

    private function spanOf(Job $job, \DateTimeImmutable $day): Span
    {
        foreach ($job->open as $span) {
            if ($span->first <= $day && $day <= $span->last) {
                return $span;
            }
        }

        throw new \LogicException("{$job->id} stands outside its days.");
    }

    /** @return list<Reason> what shuts most of its days first */
    private function whyNot(int $j, Job $job): array
    {
        if ($job->needs->minutes === null) {
            return [new Reason(Schedule::HOURS_UNKNOWN)];
        }
        foreach ($this->table->after[$j] as [$k]) {
            if (!$this->schedule->has($k)) {
                return [new Reason(Schedule::WAITS_FOR, ['job' => $this->season->jobs[$k]->id])];
            }
        }
        if ($this->table->value[$j] === []) {
            return [new Reason(Schedule::NO_DAYS)];
        }
        if (isset($this->table->pin[$j])) {
            $pin = $this->table->pin[$j];
            $code = $this->schedule->fit($j, $pin);

            return [
                new Reason('pin-cannot-hold', ['day' => $this->season->dayAt(max(0, $pin))]),
                ...is_string($code) ? [$this->reason($code, $j)] : [],
            ];
        }
        if ($this->hasRoom($j)) {
            return [new Reason('not-planned')];
        }
        $codes = $this->codes($this->schedule, $j);
        // where money is short on every day, what else stands against it is told too
        $codes += isset($codes[Schedule::NO_MONEY]) ? $this->codes($this->wider('money'), $j) : [];
        // a day on which nobody works says little where others are short of time
        if (count($codes) > 1) {
            unset($codes[Schedule::NOBODY_THERE]);
        }
        arsort($codes);

        return array_map(
            fn(string $code): Reason => $this->reason($code, $j),
            array_keys(array_slice($codes, 0, 2, true)),
        );
    }

    /** @return array<string, int> on how many of its days what stands against it */
    private function codes(Schedule $schedule, int $j): array
    {
        $codes = [];
        foreach (array_keys($this->table->value[$j]) as $day) {
            $code = $schedule->fit($j, $day);
            is_string($code) && ($codes[$code] = ($codes[$code] ?? 0) + 1);
        }

        return $codes;
    }

    /** A code of the schedule with what its sentence needs. */
    public function reason(string $code, int $j): Reason
    {
        $job = $this->season->jobs[$j];

        return new Reason(
            $code,
            match ($code) {
                Schedule::NOBODY_CLEARED => ['needs' => implode(' ', [...$job->needs->everyone, ...$job->needs->lead])],
                Schedule::NO_MONEY => ['short' => (int) $job->needs->money - (int) $this->schedule->moneyLeft()],
                Schedule::NO_TIME => ['minutes' => (int) $job->needs->minutes],
                Schedule::NO_LITRES => ['litres' => (int) $job->needs->litres],
                Schedule::NO_KIT => ['kit' => implode(' ', array_keys($job->needs->carried()))],
                Schedule::TOO_SOON, Schedule::TOO_LATE => [
                    'job' => $job->after === [] ? '' : $job->after[0]->job,
                ],
                default => [],
            },
        );
    }

    /** It came since the plan was made: it would fit as it is. */
    private function hasRoom(int $j): bool
    {
        return $this->schedule->best($j) !== null;
    }

    /** @return list<Reason> */
    private function room(int $j, Job $job): array
    {
        if ($job->needs->minutes === null || $this->table->value[$j] === [] || $this->hasRoom($j)) {
            return [];
        }
        $room = [];
        $extra = $this->wider('day')->best($j);
        if ($extra !== null) {
            $free = array_filter(array_column($extra, 0), fn(int $day): bool => !isset($this->table->minutes[$day]));
            $room[] = new Reason('one-more-day', ['day' => $this->season->dayAt([...$free, $extra[0][0]][0])]);
        }
        $hand = $this->wider('hand')->best($j);
        if ($hand !== null) {
            $room[] = new Reason('one-more-hand', [
                'day' => $this->season->dayAt($hand[0][0]),
                'needs' => implode(' ', array_unique([...$job->needs->everyone, ...$job->needs->lead])),
            ]);
        }
        if ($this->wider('money')->best($j) !== null) {
            $room[] = new Reason('more-money', [
                'short' => max(0, (int) $job->needs->money - (int) $this->schedule->moneyLeft()),
            ]);
        }
        if ($this->wider('kit')->best($j) !== null) {
            $room[] = new Reason('one-more-kit', ['kit' => implode(' ', array_keys($job->needs->carried()))]);
        }
        $swap = $this->swap($j);
        if ($swap !== null) {
            $room[] = new Reason('instead-of', ['job' => $this->season->jobs[$swap]->id]);
        }

        return $room;
    }

    /** The job of the least worth in whose place this one would stand. */
    private function swap(int $j): ?int
    {
        $loose = array_filter(
            $this->schedule->placed(),
            fn(int $k): bool => !isset($this->table->pin[$k]) &&
                $this->table->after[$k] === [] &&
                $this->table->before[$k] === [] &&
                array_intersect_key($this->table->value[$j], $this->table->value[$k]) !== [],
        );
        $points = fn(int $k): int => $this->season->jobs[$k]->worth->points;
        usort($loose, static fn(int $a, int $b): int => [$points($a), $a] <=> [$points($b), $b]);
        foreach (array_slice($loose, 0, self::MOST_SWAPS_TRIED) as $k) {
            $without = clone $this->schedule;
            $without->take($k);
            if ($without->best($j) !== null) {
                return $k;
            }
        }

        return null;
    }

    /** The plan with more of one thing: a day more of everybody, one more who may do everything, money, kit. */
    private function wider(string $what): Schedule
    {
        return $this->wider[$what] ??= $this->again(
            match ($what) {
                'day' => $this->season->having(hands: array_map($this->alwaysThere(...), $this->season->hands)),
                'hand' => $this->season->having(hands: [...$this->season->hands, $this->anybody()]),
                'money' => $this->season->withMoney(null),
                default => $this->season->having(kit: array_map(static fn(int $n): int => $n + 1, $this->season->kit)),
            },
        );
    }

    private function again(Season $season): Schedule
    {
        $schedule = new Schedule(new Table($season));
        foreach ($this->schedule->placed() as $j) {
            $schedule->put($j, $this->schedule->days($j));
        }

        return $schedule;
    }

    /** Works as long as on the longest day, on every day. */
    private function alwaysThere(Hand $hand): Hand
    {
        $minutes = max([0, ...$hand->minutes]);
        $all = [];
        for ($i = 0; $i < $this->season->days(); ++$i) {
            $day = $this->season->dayAt($i)->format('Y-m-d');
            $all[$day] = $hand->minutes[$day] ?? $minutes;
        }

        return new Hand($hand->id, $hand->clearances, $all);
    }

    /** Is there whenever somebody is, and may do whatever any job asks. */
    private function anybody(): Hand
    {
        $clearances = [];
        foreach ($this->season->jobs as $job) {
            foreach ([...$job->needs->everyone, ...$job->needs->lead] as $one) {
                $clearances[$one] = null;
            }
        }
        $minutes = [];
        foreach ($this->season->hands as $hand) {
            foreach ($hand->minutes as $day => $there) {
                $minutes[$day] = max($minutes[$day] ?? 0, $there);
            }
        }

        return new Hand("\0one more", $clearances, $minutes);
    }
}
