<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;

/**
 * Holds a plan against every hard limit of docs/planner.md, from the season alone and day by day: it shares nothing
 * with the search, so that the one can be wrong without the other.
 */
final class Audit
{
    /** @var array<string, true> */
    private array $breaches = [];

    /** @param list<Placement> $placements */
    private function __construct(private readonly Season $season, private readonly array $placements) {}

    /**
     * @param list<Placement> $placements
     *
     * @return list<string> one line for each limit that is broken, the job first; empty where none is
     */
    public static function of(Season $season, array $placements): array
    {
        $audit = new self($season, $placements);
        $audit->jobs();
        $audit->days();
        $audit->patches();
        $audit->money();

        return array_keys($audit->breaches);
    }

    private function jobs(): void
    {
        $seen = [];
        foreach ($this->placements as $placement) {
            $job = $this->season->job($placement->job);
            if ($job === null || isset($seen[$placement->job])) {
                $this->breaks($placement->job, $job === null ? 'is no job of the season' : 'stands twice');
                continue;
            }
            $seen[$placement->job] = $placement;
            $work = 0;
            foreach ($placement->parts as $part) {
                $work += $part->work();
                $this->part($job, $part);
            }
            if ($job->needs->litres === null && $this->season->litres !== null) {
                $this->breaks($job->id, 'takes nobody knows how much mix');
            }
            if ($job->needs->minutes === null || $work < $job->needs->minutes) {
                $this->breaks($job->id, 'is not done whole');
            }
            if (Day::between($placement->first(), $placement->last()) >= Season::WITHIN_DAYS) {
                $this->breaks($job->id, 'takes too many days');
            }
            if ($job->pin !== null && $job->pin != $placement->first()) {
                $this->breaks($job->id, 'left its pin');
            }
        }
        foreach ($seen as $id => $placement) {
            foreach ($this->season->job($id)->after ?? [] as $after) {
                $before = $seen[$after->job] ?? null;
                if ($before === null) {
                    $this->season->job($after->job) === null || $this->breaks($id, "stands without {$after->job}");
                    continue;
                }
                $days = Day::between($before->last(), $placement->first());
                if ($days < $after->least || ($after->most !== null && $days > $after->most)) {
                    $this->breaks($id, "is {$days} days after {$after->job}");
                }
            }
        }
    }

    private function part(Job $job, Part $part): void
    {
        $open = array_filter($job->open, static fn(Span $s): bool => $s->first <= $part->day && $part->day <= $s->last);
        $day = $part->day->format('Y-m-d');
        if (
            $open === [] ||
            $part->day < $this->season->first ||
            $part->day > $this->season->last ||
            in_array($day, $this->season->lost[$job->patch] ?? [], true)
        ) {
            $this->breaks($job->id, "is shut on {$day}");
        }
        $people = array_values(
            array_filter($this->season->hands, static fn(Hand $h): bool => in_array($h->id, $part->people, true)),
        );
        if (count($people) !== count($part->people) || count($people) < $job->needs->hands || $part->minutes <= 0) {
            $this->breaks($job->id, "has too few people on {$day}");
        }
        foreach ($people as $hand) {
            $isLead = $hand->id === $part->people[0];
            if (
                !$hand->has($job->needs->everyone, $part->day) ||
                ($isLead && !$hand->has($job->needs->lead, $part->day)) ||
                ($job->by !== [] && !in_array($hand->id, $job->by, true))
            ) {
                $this->breaks($job->id, "{$hand->id} may not do it on {$day}");
            }
        }
    }

    /** What people, kit and vehicles carry on each day. */
    private function days(): void
    {
        $worked = $stops = $holders = $litres = [];
        foreach ($this->placements as $placement) {
            $job = $this->season->job($placement->job);
            if ($job === null) {
                continue;
            }
            $left = (int) $job->needs->minutes;
            foreach ($placement->parts as $part) {
                $day = $part->day->format('Y-m-d');
                foreach ($part->people as $id) {
                    $worked[$day][$id] = ($worked[$day][$id] ?? 0) + $part->minutes;
                    $stops[$day][$id][$job->patch] = true;
                }
                foreach ($job->needs->carried() as $kind => $product) {
                    $holders[$day][$kind]["{$part->people[0]} {$product}"] = true;
                }
                $work = min($left, $part->work());
                $left -= $work;
                $litres[$day] = ($litres[$day] ?? 0) + $job->needs->litresFor($work);
            }
        }
        foreach ($worked as $day => $people) {
            foreach ($people as $id => $minutes) {
                $there = 0;
                foreach ($this->season->hands as $hand) {
                    $there = $hand->id === $id ? $hand->minutes[$day] ?? 0 : $there;
                }
                $minutes += $this->season->travel->route(array_keys($stops[$day][$id]));
                $minutes <= $there || $this->breaks((string) $id, "works {$minutes} of {$there} minutes on {$day}");
            }
        }
        foreach ($holders as $day => $kinds) {
            foreach ($kinds as $kind => $by) {
                count($by) <= ($this->season->kit[$kind] ?? PHP_INT_MAX) || $this->breaks($kind, "is short on {$day}");
            }
        }
        foreach ($litres as $day => $sum) {
            $sum <= ($this->season->litres ?? PHP_INT_MAX) || $this->breaks('litres', "{$sum} on {$day}");
        }
    }

    /** Nobody comes where something was put before its re-entry is over. */
    private function patches(): void
    {
        foreach ($this->placements as $placement) {
            $job = $this->season->job($placement->job);
            if ($job?->closes === null) {
                continue;
            }
            foreach ($this->placements as $other) {
                if ($other->job === $job->id || $this->season->job($other->job)?->patch !== $job->patch) {
                    continue;
                }
                foreach ($placement->parts as $part) {
                    foreach ($other->parts as $then) {
                        $days = Day::between($part->day, $then->day);
                        if (
                            ($days > 0 && $days <= $job->closes) ||
                            ($days === 0 && $part->people[0] !== $then->people[0])
                        ) {
                            $this->breaks($other->job, "comes too soon after {$job->id}");
                        }
                    }
                }
            }
        }
    }

    private function money(): void
    {
        $sum = 0;
        foreach ($this->placements as $placement) {
            $sum += (int) $this->season->job($placement->job)?->needs->money;
        }
        $sum <= ($this->season->money ?? PHP_INT_MAX) || $this->breaks('money', (string) $sum);
    }

    private function breaks(string $what, string $how): void
    {
        $this->breaches["{$what} {$how}"] = true;
    }
}
