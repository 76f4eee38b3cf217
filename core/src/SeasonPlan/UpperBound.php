<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/**
 * What no plan of a season can bring more than, in thousandths of points. Jobs may be done in part, by anybody cleared
 * for them, one minute here and one there, on the days on which each brings the most; roads are told off only as the
 * shortest way of a day. What is left is a transport of minutes from jobs to days, whose feasible amounts form a
 * polymatroid: taking the jobs by points a minute, each as far as it still flows, brings the most there is. Where money
 * is limited, the jobs by points a coin, the last in part, are a second bound; the lower of the two counts.
 */
final class UpperBound
{
    /** @var array<string, int> minutes left, by days of one kind and people of one kind */
    private array $left = [];
    /** @var array<int, array<string, true>> by job: where it may be done */
    private array $may = [];
    /** @var array<string, array<int, int>> minutes that flow there, by job */
    private array $flow = [];

    /** @var array<int, int> by job: the first day on which it could begin, for what it comes after */
    private array $from = [];
    /** @var array<int, int|null> by job: the first day on which it could end */
    private array $ends = [];

    private function __construct(private readonly Table $table) {}

    /** @internal to the season plan */
    public static function of(Table $table): int
    {
        $bound = new self($table);
        $most = $bound->possible();

        return min($bound->byTime($most), self::byMoney($table, $most));
    }

    /**
     * What each job brings at most. One that could not be done even with everything to itself, or that comes after such
     * a one, brings nothing; none is done before what it comes after could be done at the soonest.
     *
     * @return array<int, int> by job
     */
    private function possible(): array
    {
        $season = $this->table->season;
        $alone = new Table($season->having(jobs: array_map(static fn(Job $job): Job => $job->alone(), $season->jobs)));
        $empty = new Schedule($alone);
        $most = [];
        foreach (array_keys($season->jobs) as $j) {
            foreach ($this->soonest($j, $alone, $empty) === null ? [] : $alone->order[$j] as $day) {
                $day < $this->from[$j] || ($most[$j] = max($most[$j] ?? 0, $alone->value[$j][$day]));
            }
        }

        return $most;
    }

    /** The soonest day on which a job could end, as if it were the only one; null where it cannot be done. */
    private function soonest(int $j, Table $alone, Schedule $empty): ?int
    {
        if (!array_key_exists($j, $this->ends)) {
            // what waits for itself is never done
            $this->ends[$j] = null;
            $this->ends[$j] = $this->endOf($j, $alone, $empty);
        }

        return $this->ends[$j];
    }

    private function endOf(int $j, Table $alone, Schedule $empty): ?int
    {
        $from = 0;
        foreach ($this->table->after[$j] as [$k, $least]) {
            $end = $this->soonest($k, $alone, $empty);
            if ($end === null) {
                return null;
            }
            $from = max($from, $end + $least);
        }
        $this->from[$j] = $from;
        $soonest = null;
        $starts = $alone->order[$j];
        sort($starts);
        foreach ($starts as $start) {
            if ($soonest !== null && $start > $soonest) {
                break;
            }
            $days = $start < $from ? '' : $empty->fit($j, $start);
            if (is_array($days)) {
                $end = $days[count($days) - 1][0];
                $soonest = $soonest === null ? $end : min($soonest, $end);
            }
        }

        return $soonest;
    }

    /** @param array<int, int> $most by job */
    private function byTime(array $most): int
    {
        $this->layOut(array_keys($most));
        $jobs = $this->table->season->jobs;
        uksort(
            $most,
            static fn(int $a, int $b): int => $most[$b] * max(1, (int) $jobs[$a]->needs->minutes) <=>
                $most[$a] * max(1, (int) $jobs[$b]->needs->minutes),
        );
        $bound = 0;
        foreach ($most as $j => $value) {
            $minutes = (int) $jobs[$j]->needs->minutes;
            $flows = $minutes === 0 ? 0 : $this->push($j, $minutes);
            $bound += $minutes === 0 ? $value : intdiv($value * $flows + $minutes - 1, $minutes);
        }

        return $bound;
    }

    /** @param array<int, int> $most by job */
    private static function byMoney(Table $table, array $most): int
    {
        $money = $table->season->money;
        if ($money === null) {
            return array_sum($most);
        }
        $price = static fn(int $j): int => (int) $table->season->jobs[$j]->needs->money;
        uksort($most, static fn(int $a, int $b): int => $most[$b] * $price($a) <=> $most[$a] * $price($b));
        $bound = 0;
        foreach ($most as $j => $value) {
            $take = min($money, $price($j));
            $bound += $price($j) === 0 ? $value : intdiv($value * $take + $price($j) - 1, $price($j));
            $money -= $take;
        }

        return $bound;
    }

    /**
     * Days on which the same jobs are open are one kind, people who may do the same jobs on them another.
     *
     * @param list<int> $jobs
     */
    private function layOut(array $jobs): void
    {
        $season = $this->table->season;
        foreach ($this->table->minutes as $day => $hands) {
            $open = array_values(
                array_filter(
                    $jobs,
                    fn(int $j): bool => isset($this->table->value[$j][$day]) &&
                        $day >= $this->from[$j] &&
                        ($this->table->pin[$j] ?? $day) <= $day &&
                        $day < ($this->table->pin[$j] ?? $day) + Season::WITHIN_DAYS,
                ),
            );
            foreach ($hands as $h => $minutes) {
                $mine = array_values(array_filter($open, fn(int $j): bool => $this->table->ableUntil[$j][$h] >= $day));
                if ($mine === []) {
                    continue;
                }
                $kind = implode(' ', $mine);
                $round = $season->travel->leastRound(
                    array_values(array_unique(array_map(static fn(int $j): string => $season->jobs[$j]->patch, $mine))),
                );
                $this->left[$kind] = ($this->left[$kind] ?? 0) + max(0, $minutes - $round);
                foreach ($mine as $j) {
                    $this->may[$j][$kind] = true;
                }
            }
        }
    }

    /** Minutes of the job that find room, others moved over for it where they can be. */
    private function push(int $j, int $minutes): int
    {
        $pushed = 0;
        while ($pushed < $minutes) {
            $path = $this->path($j);
            if ($path === null) {
                break;
            }
            [$end, $from] = $path;
            $amount = min($minutes - $pushed, $this->left[$end]);
            for ($at = $end; $from[$at][1] !== null; $at = $from[$at][1]) {
                $amount = min($amount, $this->flow[$from[$at][1]][$from[$at][0]]);
            }
            $this->left[$end] -= $amount;
            for ($at = $end; ; $at = $back) {
                [$job, $back] = $from[$at];
                $this->flow[$at][$job] = ($this->flow[$at][$job] ?? 0) + $amount;
                if ($back === null) {
                    break;
                }
                $this->flow[$back][$job] -= $amount;
            }
            $pushed += $amount;
        }

        return $pushed;
    }

    /**
     * The shortest chain of moves that ends where there is room: [where, where => [job that comes there, where it comes
     * from or null for the job itself]].
     *
     * @return array{string, array<string, array{int, string|null}>}|null
     */
    private function path(int $j): ?array
    {
        $from = [];
        $next = [];
        foreach (array_keys($this->may[$j] ?? []) as $kind) {
            $from[$kind] = [$j, null];
            if ($this->left[$kind] > 0) {
                return [(string) $kind, $from];
            }
            $next[] = (string) $kind;
        }
        $seen = [$j => true];
        while ($next !== []) {
            $at = array_shift($next);
            foreach ($this->flow[$at] ?? [] as $k => $amount) {
                if ($amount <= 0 || isset($seen[$k])) {
                    continue;
                }
                $seen[$k] = true;
                foreach (array_keys($this->may[$k] ?? []) as $kind) {
                    if (isset($from[$kind])) {
                        continue;
                    }
                    $from[$kind] = [$k, $at];
                    if ($this->left[$kind] > 0) {
                        return [(string) $kind, $from];
                    }
                    $next[] = (string) $kind;
                }
            }
        }

        return null;
    }
}
