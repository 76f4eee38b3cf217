<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;

/**
 * A season by numbers: days, people and jobs by their place in the list, since the search asks a million times.
 *
 * @internal to the season plan
 */
final class Table
{
    private const WITH_CARE_PERCENT = 80;
    private const TOO_LATE_PERCENT = 50;
    /** Of equal days the earlier: weather takes some, and a job at the end of its days has none to spare. */
    private const LATEST_LOSES_PERCENT = 5;
    /** Thousandths of a job's points that it costs to move it, and for each day more. */
    private const MOVED = 60;
    private const MOVED_A_DAY = 2;
    private const MOVED_MOST = 100;

    /** @var array<int, array<int, int>> by job and open day: thousandths of points it brings then */
    public array $value = [];
    /** @var array<int, list<int>> by job: its open days, the best first */
    public array $order = [];
    /** @var array<int, array<int, int>> by job and hand: the last day on which they may work at it, or lead it */
    public array $ableUntil = [];
    /** @var array<int, array<int, int>> */
    public array $leadUntil = [];
    /** @var array<int, list<array{int, int, int|null}>> by job: what it comes after, as job, least and most days */
    public array $after = [];
    /** @var array<int, list<array{int, int, int|null}>> the same from the other side */
    public array $before = [];
    /** @var array<int, int> by job: the day it is pinned to */
    public array $pin = [];
    /** @var array<string, int> by id */
    public array $jobAt = [];
    /** @var array<string, int> by id */
    public array $handAt = [];
    /** @var array<int, array<int, int>> by day and hand: minutes */
    public array $minutes = [];
    /** @var list<int> hands, those that can do the least first, so that the others stay free */
    public array $handy = [];

    /** @param array<string, Placement> $was where each job stood before; moving it costs */
    public function __construct(public readonly Season $season, private readonly array $was = [])
    {
        foreach ($season->hands as $h => $hand) {
            $this->handAt[$hand->id] = $h;
            foreach ($hand->minutes as $day => $minutes) {
                $i = $this->dayAt(Day::parse((string) $day));
                $i === null || $minutes <= 0 || ($this->minutes[$i][$h] = $minutes);
            }
        }
        $this->handy = array_keys($season->hands);
        usort(
            $this->handy,
            static fn(int $a, int $b): int => [count($season->hands[$a]->clearances), $a] <=> [
                count($season->hands[$b]->clearances),
                $b,
            ],
        );
        foreach ($season->jobs as $j => $job) {
            $this->jobAt[$job->id] = $j;
        }
        foreach ($season->jobs as $j => $job) {
            $this->job($j, $job);
        }
        foreach ($this->pin as $j => $day) {
            // for a pin that cannot hold nothing makes way
            $this->isReached($j, $day) && $this->makeWay($j, $day);
        }
    }

    /** @return list<int> all that has to be done before a job, the first of it first */
    public function allBefore(int $j): array
    {
        $out = [];
        foreach ($this->after[$j] as [$k]) {
            $out = [...$out, ...$this->allBefore($k), $k];
        }

        return array_values(array_unique($out));
    }

    /** Whether all that comes before a job can stand early enough for it, by its open days alone. */
    private function isReached(int $j, int $day): bool
    {
        foreach ($this->after[$j] as [$k, $least]) {
            $early = array_filter($this->order[$k], static fn(int $at): bool => $at <= $day - $least);
            if ($early === [] || !$this->isReached($k, max($early))) {
                return false;
            }
        }

        return true;
    }

    /** What comes before a pinned job begins early enough for it. */
    private function makeWay(int $j, int $day): void
    {
        foreach ($this->after[$j] as [$k, $least]) {
            $this->order[$k] = array_values(
                array_filter($this->order[$k], static fn(int $at): bool => $at <= $day - $least),
            );
            $this->makeWay($k, $day - $least);
        }
    }

    /** What leaving the day of before costs, in thousandths of points. */
    public function moving(int $j, int $first): int
    {
        $was = $this->was[$this->season->jobs[$j]->id] ?? null;
        $at = $was === null ? $first : Day::between($this->season->first, $was->first());
        $points = $this->season->jobs[$j]->worth->points;

        return $at === $first
            ? 0
            : $points * min(self::MOVED_MOST, self::MOVED + self::MOVED_A_DAY * abs($first - $at));
    }

    /** What it costs to leave out a job that stood before: as much as to move it furthest. */
    public function leavingOut(int $j): int
    {
        return isset($this->was[$this->season->jobs[$j]->id])
            ? $this->season->jobs[$j]->worth->points * self::MOVED_MOST
            : 0;
    }

    public function stood(int $j): ?Placement
    {
        return $this->was[$this->season->jobs[$j]->id] ?? null;
    }

    private function job(int $j, Job $job): void
    {
        $this->value[$j] = $this->values($job);
        $pin = $job->pin === null ? null : $this->dayAt($job->pin) ?? -1;
        $pin === null || ($this->pin[$j] = $pin);
        $days = array_keys($this->value[$j]);
        $worth = array_map(fn(int $day): int => $this->value[$j][$day] - $this->moving($j, $day), $days);
        array_multisort($worth, SORT_DESC, $days, SORT_ASC);
        $this->order[$j] = $pin === null ? $days : array_values(array_intersect($days, [$pin]));
        $this->after[$j] ??= [];
        $this->before[$j] ??= [];
        foreach ($job->after as $after) {
            $k = $this->jobAt[$after->job] ?? null;
            if ($k !== null) {
                $this->after[$j][] = [$k, $after->least, $after->most];
                $this->before[$k][] = [$j, $after->least, $after->most];
            }
        }
        foreach ($this->season->hands as $h => $hand) {
            $isAsked = $job->by === [] || in_array($hand->id, $job->by, true);
            $able = $isAsked ? $this->clearedUntil($hand, $job->needs->everyone) : -1;
            $this->ableUntil[$j][$h] = $able;
            $this->leadUntil[$j][$h] = min($able, $this->clearedUntil($hand, $job->needs->lead));
        }
    }

    /** @return array<int, int> */
    private function values(Job $job): array
    {
        $lost = array_flip($this->season->lost[$job->patch] ?? []);
        $days = [];
        foreach ($job->open as $span) {
            $from = max(0, Day::between($this->season->first, $span->first));
            $to = min($this->season->days() - 1, Day::between($this->season->first, $span->last));
            for ($day = $from; $day <= $to; ++$day) {
                if (!isset($lost[$this->season->dayAt($day)->format('Y-m-d')])) {
                    $days[$day] = $span->withCare;
                }
            }
        }
        if ($days === []) {
            return [];
        }
        [$first, $last] = [min(array_keys($days)), max(array_keys($days))];
        $best = $job->worth->bestBefore === null ? null : Day::between($this->season->first, $job->worth->bestBefore);
        $values = [];
        foreach ($days as $day => $withCare) {
            $percent = $withCare ? self::WITH_CARE_PERCENT : 100;
            $percent = $best !== null && $day > $best ? intdiv($percent * self::TOO_LATE_PERCENT, 100) : $percent;
            // points in thousandths, of which a percent are ten
            $value = $job->worth->points * 10 * $percent;
            $values[$day] =
                $value - intdiv($value * self::LATEST_LOSES_PERCENT * ($day - $first), 100 * max(1, $last - $first));
        }

        return $values;
    }

    /** @param list<string> $clearances */
    private function clearedUntil(Hand $hand, array $clearances): int
    {
        $last = $this->season->days() - 1;
        foreach ($clearances as $clearance) {
            if (!array_key_exists($clearance, $hand->clearances)) {
                return -1;
            }
            $until = $hand->clearances[$clearance];
            $last = $until === null ? $last : min($last, Day::between($this->season->first, $until));
        }

        return $last;
    }

    private function dayAt(\DateTimeImmutable $day): ?int
    {
        $i = Day::between($this->season->first, $day);

        return $i < 0 || $i >= $this->season->days() ? null : $i;
    }
}
