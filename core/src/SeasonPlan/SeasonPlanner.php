<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Thicket\Calendar\Day;

/**
 * Puts the jobs of a season on days: first one after the other in several orders, then again and again a few taken out
 * and put back otherwise, kept where it is no worse. The same season always gives the same plan: chance has a fixed
 * seed, and the search ends after a number of tries, not after a time. docs/planner.md says what holds and why this is
 * our own.
 */
final class SeasonPlanner
{
    private const SEED = 20_260_101;
    private const TRIES = 400;
    /** Without one that was better the search ends. */
    private const IDLE_TRIES = 120;
    private const IDLE_TRIES_A_JOB = 3;
    private const MOST_TAKEN = 10;
    private const MOST_LEFT_OUT_TRIED = 12;

    private Table $table;
    private Randomizer $chance;

    /** @param array<string, Placement> $was where jobs stood before; they move as little as may be */
    private function __construct(private readonly Season $season, private readonly array $was)
    {
        $this->table = new Table($season, $was);
        $this->chance = new Randomizer(new Xoshiro256StarStar(self::SEED));
    }

    /** @param list<Placement> $before a plan that is followed already: as little of it moves as may be */
    public static function plan(Season $season, array $before = []): Proposal
    {
        $planner = self::following($season, $before);
        $schedule = $planner->improved($planner->begun());

        return (new Explanation($season, $planner->table, $schedule, $planner->was))->told();
    }

    /**
     * A plan that is followed, as far as it still holds, with reasons and what found no day; nothing is sought anew.
     *
     * @param list<Placement> $plan
     */
    public static function hold(Season $season, array $plan): Proposal
    {
        $planner = self::following($season, $plan);

        return (new Explanation($season, $planner->table, $planner->held(null), []))->told();
    }

    /**
     * One job on another day, everything else where it stands.
     *
     * @param list<Placement> $plan
     *
     * @return Placement|list<Reason> where it would stand, or what stands against it
     */
    public static function move(Season $season, array $plan, string $job, \DateTimeImmutable $day): Placement|array
    {
        $planner = self::following($season, $plan);
        $j = $planner->table->jobAt[$job] ?? throw new \InvalidArgumentException("There is no job {$job}.");
        $schedule = $planner->held($j);
        $days = $schedule->fit($j, Day::between($season->first, $day));

        return is_string($days)
            ? [(new Explanation($season, $planner->table, $schedule, []))->reason($days, $j)]
            : $schedule->placement($j, $days);
    }

    /** @param list<Placement> $plan */
    private static function following(Season $season, array $plan): self
    {
        return new self($season, array_column($plan, null, 'job'));
    }

    /** What stood in the plan, the one that is to be moved left out; what comes after it stays, too. */
    private function held(?int $without): Schedule
    {
        return $this->holding(new Schedule($this->table), $without);
    }

    private function holding(Schedule $schedule, ?int $without): Schedule
    {
        $stood = [];
        foreach ($this->season->jobs as $j => $job) {
            isset($this->was[$job->id]) && $j !== $without && ($stood[$j] = $this->was[$job->id]);
        }
        uasort($stood, static fn(Placement $a, Placement $b): int => $a->first() <=> $b->first());
        foreach ($stood as $j => $placement) {
            $days = $schedule->has($j) ? null : $schedule->again($j, $placement, $without);
            $days === null || $schedule->put($j, $days);
        }

        return $schedule;
    }

    /** The best of several orders. */
    private function begun(): Schedule
    {
        $jobs = $this->season->jobs;
        $table = $this->table;
        $minutes = static fn(int $j): int => max(1, (int) $jobs[$j]->needs->minutes);
        $orders = [
            static fn(int $a, int $b): int => $jobs[$b]->worth->points * $minutes($a) <=>
                $jobs[$a]->worth->points * $minutes($b),
            static fn(int $a, int $b): int => count($table->order[$a]) * $jobs[$b]->worth->points <=>
                count($table->order[$b]) * $jobs[$a]->worth->points,
            static fn(int $a, int $b): int => $jobs[$b]->worth->points <=> $jobs[$a]->worth->points,
        ];
        $best = null;
        foreach ($orders as $order) {
            $list = array_keys($jobs);
            usort($list, static fn(int $a, int $b): int => $order($a, $b) ?: $a <=> $b);
            $schedule = $this->started();
            $this->fill($schedule, $list);
            $best = $best === null || $schedule->score() > $best->score() ? $schedule : $best;
        }

        return $best;
    }

    /** Pins first, then what stood in the plan before. */
    private function started(): Schedule
    {
        $schedule = new Schedule($this->table);
        $first = [];
        foreach (array_keys($this->table->pin) as $j) {
            $first = [...$first, ...$this->table->allBefore($j), $j];
        }
        $this->fill($schedule, array_values(array_unique($first)));

        return $this->holding($schedule, null);
    }

    /** @param list<int> $list what is put in, in this order; what waits for another comes round again */
    private function fill(Schedule $schedule, array $list): void
    {
        do {
            $put = false;
            $again = [];
            foreach ($list as $j) {
                if ($schedule->has($j)) {
                    continue;
                }
                $days = $schedule->best($j);
                if ($days === null) {
                    $this->table->after[$j] === [] || ($again[] = $j);
                    continue;
                }
                $schedule->put($j, $days);
                $put = true;
            }
            $list = $again;
        } while ($put && $list !== []);
    }

    private function improved(Schedule $schedule): Schedule
    {
        $score = $schedule->score();
        $most = min(self::IDLE_TRIES, self::IDLE_TRIES_A_JOB * count($this->season->jobs));
        for ($try = 0, $idle = 0; $try < self::TRIES && $idle < $most; ++$try, ++$idle) {
            $other = clone $schedule;
            $taken = $this->takeSome($other);
            $out = array_values(
                array_filter(array_keys($this->season->jobs), static fn(int $j): bool => !$other->has($j)),
            );
            if ($out === []) {
                break;
            }
            $list = [...$taken, ...$this->some(array_values(array_diff($out, $taken)))];
            $this->fill($other, $this->mixed($list));
            if ($this->pinsHeld($other) < $this->pinsHeld($schedule)) {
                continue;
            }
            $reached = $other->score();
            if ($reached > $score) {
                $idle = 0;
            }
            if ($reached >= $score) {
                [$schedule, $score] = [$other, $reached];
            }
        }
        // what there is room for is never left out
        $this->fill($schedule, array_keys($this->season->jobs));

        return $schedule;
    }

    private function pinsHeld(Schedule $schedule): int
    {
        return count(array_filter(array_keys($this->table->pin), $schedule->has(...)));
    }

    /** @return list<int> jobs of about the same days or the same patch, with what comes after them */
    private function takeSome(Schedule $schedule): array
    {
        $loose = array_values(array_filter($schedule->placed(), fn(int $j): bool => !isset($this->table->pin[$j])));
        if ($loose === []) {
            return [];
        }
        $seed = $loose[$this->chance->getInt(0, count($loose) - 1)];
        $day = $schedule->days($seed)[0][0];
        $patch = $this->season->jobs[$seed]->patch;
        $byPatch = $this->chance->getInt(0, 3) === 0;
        $far = [];
        foreach ($loose as $j) {
            $away = abs($schedule->days($j)[0][0] - $day);
            $far[$j] = $byPatch && $this->season->jobs[$j]->patch === $patch ? -1 : $away;
        }
        asort($far);
        $taken = [];
        foreach (array_slice(array_keys($far), 0, $this->chance->getInt(1, self::MOST_TAKEN)) as $j) {
            $taken = [...$taken, ...$schedule->take($j)];
        }

        // what is pinned goes back to its place first
        usort($taken, fn(int $a, int $b): int => isset($this->table->pin[$b]) <=> isset($this->table->pin[$a]));

        return $taken;
    }

    /**
     * @param list<int> $out
     *
     * @return list<int>
     */
    private function some(array $out): array
    {
        return array_slice($this->chance->shuffleArray($out), 0, self::MOST_LEFT_OUT_TRIED);
    }

    /**
     * @param list<int> $list
     *
     * @return list<int> pins first, then by worth a minute, by chance, or by how few days each has
     */
    private function mixed(array $list): array
    {
        $list = $this->chance->shuffleArray($list);
        $way = $this->chance->getInt(0, 2);
        $key = fn(int $j): int => match ($way) {
            0 => -intdiv(
                $this->season->jobs[$j]->worth->points * 100_000,
                max(1, (int) $this->season->jobs[$j]->needs->minutes),
            ),
            1 => count($this->table->order[$j]),
            default => 0,
        };
        usort(
            $list,
            fn(int $a, int $b): int => [isset($this->table->pin[$b]), $key($a)] <=> [
                isset($this->table->pin[$a]),
                $key($b),
            ],
        );

        return $list;
    }
}
