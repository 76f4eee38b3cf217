<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;

/**
 * Jobs on days as they are being tried; holds every hard limit of docs/planner.md at each moment. A clone is a copy
 * that can be thrown away.
 *
 * @internal to the season plan
 *
 * Days are lists of day, hands with who leads first, and minutes of each.
 *
 * @phpstan-type Days list<array{int, non-empty-list<int>, int}>
 */
final class Schedule
{
    /** Nobody drives out for less, unless less is left. */
    private const LEAST_MINUTES = 60;
    /** Thousandths of points that a minute on the road costs: an hour of it is worth three tenths of a point. */
    private const ROAD = 5;

    public const SHUT = 'season-shut';
    public const NO_DAYS = 'no-days';
    public const NOBODY_CLEARED = 'nobody-cleared';
    public const NOBODY_THERE = 'nobody-there';
    public const NO_TIME = 'no-time';
    public const NO_KIT = 'no-kit';
    public const NO_LITRES = 'no-litres';
    public const NO_MONEY = 'no-money';
    public const PATCH_CLOSED = 'patch-closed';
    public const WAITS_FOR = 'waits-for';
    public const TOO_SOON = 'too-soon';
    public const TOO_LATE = 'too-late';
    public const HOURS_UNKNOWN = 'hours-unknown';
    public const MIX_UNKNOWN = 'mix-unknown';

    /** What stands against a job on every day alike. */
    private const WHATEVER_THE_DAY = [self::NO_MONEY, self::WAITS_FOR, self::HOURS_UNKNOWN, self::MIX_UNKNOWN];

    /** @var array<int, Days> by job */
    private array $placed = [];
    /** @var array<int, int> by job: thousandths of points */
    private array $values = [];
    /** @var array<int, array<int, int>> by day and hand */
    private array $worked = [];
    /** @var array<int, array<int, array<string, int>>> by day and hand: patches, and how many jobs are there */
    private array $stops = [];
    /** @var array<int, array<string, array<string, int>>> by day and kind of kit: who has it with what in it */
    private array $holders = [];
    /** @var array<int, int> by day */
    private array $litres = [];
    /** @var array<string, array<int, array<int, int>>> by patch, day and job: who leads */
    private array $onPatch = [];
    private int $money = 0;

    public function __construct(private readonly Table $table) {}

    public function has(int $j): bool
    {
        return isset($this->placed[$j]);
    }

    /** @return list<int> */
    public function placed(): array
    {
        return array_keys($this->placed);
    }

    /** @return Days */
    public function days(int $j): array
    {
        return $this->placed[$j];
    }

    /** Thousandths of points: what the jobs bring, less the roads and what was moved. */
    public function score(): int
    {
        $score = array_sum($this->values);
        foreach (array_keys($this->table->season->jobs) as $j) {
            $score -= isset($this->placed[$j])
                ? $this->table->moving($j, $this->placed[$j][0][0])
                : $this->table->leavingOut($j);
        }
        foreach ($this->stops as $hands) {
            foreach ($hands as $stops) {
                $score -= self::ROAD * $this->table->season->travel->route(array_keys($stops));
            }
        }

        return $score;
    }

    public function value(): int
    {
        return array_sum($this->values);
    }

    public function moneyLeft(): ?int
    {
        return $this->table->season->money === null ? null : $this->table->season->money - $this->money;
    }

    /** @return Days|null the days that bring the most, roads and moving told off; null where there are none */
    public function best(int $j): ?array
    {
        $best = null;
        $most = PHP_INT_MIN;
        foreach ($this->table->order[$j] as $start) {
            $hoped = $this->table->value[$j][$start] - $this->table->moving($j, $start);
            if ($best !== null && $hoped <= $most) {
                break;
            }
            $days = $this->fit($j, $start);
            if (is_string($days)) {
                if (in_array($days, self::WHATEVER_THE_DAY, true)) {
                    return null;
                }
                continue;
            }
            $score =
                $this->valueOf($j, $days) - $this->table->moving($j, $start) - self::ROAD * $this->detour($j, $days);
            if ($score > $most) {
                [$best, $most] = [$days, $score];
            }
        }

        return $best;
    }

    /**
     * A job from a day on, by as few people and days as it takes.
     *
     * @return Days|string the code of what stands against it
     */
    public function fit(int $j, int $start): array|string
    {
        $job = $this->table->season->jobs[$j];
        $left = $job->needs->minutes;
        if ($left === null) {
            return self::HOURS_UNKNOWN;
        }
        // what cannot be reckoned cannot be held against a limit
        if ($job->needs->litres === null && $this->table->season->litres !== null) {
            return self::MIX_UNKNOWN;
        }
        if (
            $this->table->season->money !== null &&
            $this->money + (int) $job->needs->money > $this->table->season->money
        ) {
            return self::NO_MONEY;
        }
        $wait = $this->waits($j, $start);
        if ($wait !== null) {
            return $wait;
        }
        if (!isset($this->table->value[$j][$start])) {
            return self::SHUT;
        }
        $days = [];
        $why = self::NO_TIME;
        for ($day = $start; $left > 0 && $day < $start + Season::WITHIN_DAYS; ++$day) {
            $party = isset($this->table->value[$j][$day]) ? $this->party($j, $day, $left) : self::SHUT;
            if (is_string($party)) {
                if ($days === []) {
                    return $party;
                }
                $why = $party === self::NOBODY_THERE || $party === self::SHUT ? $why : $party;
                continue;
            }
            [$hands, $minutes] = $party;
            $why = $this->mostByLitres($j, $day, $left) < $left ? self::NO_LITRES : self::NO_TIME;
            $days[] = [$day, $hands, $minutes];
            $left -= $minutes * count($hands);
        }
        if ($left > 0 || $days === []) {
            return $why;
        }

        return $this->meetsLater($j, $days[count($days) - 1][0]) ? $days : self::TOO_LATE;
    }

    /** @param Days $days as fit() gave them */
    public function put(int $j, array $days): void
    {
        $this->placed[$j] = $days;
        $this->values[$j] = $this->valueOf($j, $days);
        $this->reckon($j, $days, 1);
    }

    /** @return list<int> the job and all that come after it: none stands without what it waits for */
    public function take(int $j): array
    {
        if (!isset($this->placed[$j])) {
            return [];
        }
        $taken = [$j];
        foreach ($this->table->before[$j] as [$k]) {
            $taken = [...$taken, ...$this->take($k)];
        }
        $this->reckon($j, $this->placed[$j], -1);
        unset($this->placed[$j], $this->values[$j]);

        return $taken;
    }

    /** @return list<Placement> by their first day */
    public function placements(): array
    {
        $out = [];
        foreach ($this->placed as $j => $days) {
            $out[] = $this->placement($j, $days);
        }
        usort($out, static fn(Placement $a, Placement $b): int => [$a->first(), $a->job] <=> [$b->first(), $b->job]);

        return $out;
    }

    /** @param Days $days */
    public function placement(int $j, array $days): Placement
    {
        return new Placement(
            $this->table->season->jobs[$j]->id,
            array_map(
                fn(array $d): Part => new Part(
                    $this->table->season->dayAt($d[0]),
                    array_map(fn(int $h): string => $this->table->season->hands[$h]->id, $d[1]),
                    $d[2],
                ),
                $days,
            ),
            $this->valueOf($j, $days),
        );
    }

    /**
     * A placement of before with its people and minutes; null where it does not hold any more. One that is being moved
     * is not waited for: it comes back, or nothing changes.
     *
     * @return Days|null
     */
    public function again(int $j, Placement $was, ?int $moving = null): ?array
    {
        $job = $this->table->season->jobs[$j];
        $left = (int) $job->needs->minutes;
        $days = [];
        foreach ($was->parts as $part) {
            $day = Day::between($this->table->season->first, $part->day);
            $hands = array_map(fn(string $id): int => $this->table->handAt[$id] ?? -1, $part->people);
            if (
                $hands === [] ||
                !isset($this->table->value[$j][$day]) ||
                count($hands) < $job->needs->hands ||
                ($this->table->leadUntil[$j][$hands[0]] ?? -1) < $day ||
                $this->against($j, $day, $hands[0]) !== null ||
                $this->mostByLitres($j, $day, $left) < min($left, $part->work())
            ) {
                return null;
            }
            foreach ($hands as $h) {
                if (($this->table->ableUntil[$j][$h] ?? -1) < $day || $this->free($j, $day, $h) < $part->minutes) {
                    return null;
                }
            }
            $days[] = [$day, $hands, $part->minutes];
            $left -= $part->work();
        }
        $money = $this->moneyLeft();

        return $days === [] ||
            $left > 0 ||
            $job->needs->minutes === null ||
            ($job->needs->litres === null && $this->table->season->litres !== null) ||
            ($this->table->pin[$j] ?? $days[0][0]) !== $days[0][0] ||
            ($money !== null && (int) $job->needs->money > $money) ||
            $this->waits($j, $days[0][0], $moving) !== null ||
            !$this->meetsLater($j, $days[count($days) - 1][0])
            ? null
            : $days;
    }

    /**
     * Others whose way the job shares on its first day.
     *
     * @param Days $days
     */
    public function sharesWay(int $j, array $days): bool
    {
        $patch = $this->table->season->jobs[$j]->patch;
        [$day, $hands] = $days[0];
        $stops = $this->stops[$day][$hands[0]] ?? [];
        $alone = $this->table->season->travel->route([$patch]);
        if (($stops[$patch] ?? 0) > 1) {
            return true;
        }
        unset($stops[$patch]);
        $without = $this->table->season->travel->route(array_keys($stops));

        return $stops !== [] &&
            2 * ($this->table->season->travel->route([...array_keys($stops), $patch]) - $without) <= $alone;
    }

    /** Minutes on the road in all. */
    public function road(): int
    {
        $sum = 0;
        foreach ($this->stops as $hands) {
            foreach ($hands as $stops) {
                $sum += $this->table->season->travel->route(array_keys($stops));
            }
        }

        return $sum;
    }

    /** @param Days $days */
    private function valueOf(int $j, array $days): int
    {
        // a job over several days brings what its poorest day brings
        $values = array_map(fn(array $d): int => $this->table->value[$j][$d[0]], $days);

        return $values === [] ? 0 : min($values);
    }

    private function waits(int $j, int $start, ?int $moving = null): ?string
    {
        foreach ($this->table->after[$j] as [$k, $least, $most]) {
            if (!isset($this->placed[$k])) {
                if ($k === $moving) {
                    continue;
                }

                return self::WAITS_FOR;
            }
            $last = $this->placed[$k][count($this->placed[$k]) - 1][0];
            if ($start < $last + $least) {
                return self::TOO_SOON;
            }
            if ($most !== null && $start > $last + $most) {
                return self::TOO_LATE;
            }
        }

        return null;
    }

    /** Whether what comes after it still does, if it ends on that day. */
    private function meetsLater(int $j, int $last): bool
    {
        foreach ($this->table->before[$j] as [$k, $least, $most]) {
            $first = $this->placed[$k][0][0] ?? null;
            if ($first !== null && ($first < $last + $least || ($most !== null && $first > $last + $most))) {
                return false;
            }
        }

        return true;
    }

    /** @return array{non-empty-list<int>, int}|string hands with who leads first, and minutes of each */
    private function party(int $j, int $day, int $left): array|string
    {
        $season = $this->table->season;
        $needs = $season->jobs[$j]->needs;
        $there = $this->table->minutes[$day] ?? [];
        $free = [];
        foreach ($this->table->handy as $h) {
            if (isset($there[$h]) && $this->table->ableUntil[$j][$h] >= $day) {
                $free[$h] = $this->free($j, $day, $h);
            }
        }
        if ($free === []) {
            return $there === [] ? self::NOBODY_THERE : $this->unable($j);
        }
        $leads = array_values(
            array_filter(array_keys($free), fn(int $h): bool => $this->table->leadUntil[$j][$h] >= $day),
        );
        if ($leads === []) {
            return $this->unable($j);
        }
        $least = min($left, self::LEAST_MINUTES);
        // no more than mix can be brought out for that day
        $most = $this->mostByLitres($j, $day, $left);
        if ($most < $least) {
            return self::NO_LITRES;
        }
        $why = self::NO_TIME;
        $best = null;
        foreach ($leads as $lead) {
            $against = $this->against($j, $day, $lead);
            if ($against !== null) {
                $why = $against;
                continue;
            }
            $others = array_diff_key($free, [$lead => 0]);
            arsort($others);
            $others = array_keys($others);
            for ($n = max(1, $needs->hands); $n <= count($others) + 1; ++$n) {
                $hands = [$lead, ...array_slice($others, 0, $n - 1)];
                $longest = min(array_map(static fn(int $h): int => $free[$h], $hands));
                $minutes = min($longest, $most < $left ? intdiv($most, $n) : intdiv($left + $n - 1, $n));
                if ($longest * $n >= $most) {
                    return [$this->leastHandy($hands, $lead, $free, $minutes), $minutes];
                }
                if ($minutes * $n >= $least && ($best === null || $minutes * $n > $best[1] * count($best[0]))) {
                    $best = [$hands, $minutes];
                }
            }
        }

        return $best ?? $why;
    }

    /**
     * The same number of people, of those who have the time those who can do the least else.
     *
     * @param non-empty-list<int> $hands
     * @param array<int, int> $free minutes by hand, those first who can do the least
     *
     * @return non-empty-list<int>
     */
    private function leastHandy(array $hands, int $lead, array $free, int $minutes): array
    {
        $others = array_keys(
            array_filter(
                $free,
                static fn(int $m, int $h): bool => $h !== $lead && $m >= $minutes,
                ARRAY_FILTER_USE_BOTH,
            ),
        );

        return [$lead, ...array_slice($others, 0, count($hands) - 1)];
    }

    /** Minutes of work, of those that are left, for which mix can still be brought out that day. */
    private function mostByLitres(int $j, int $day, int $left): int
    {
        $needs = $this->table->season->jobs[$j]->needs;
        $most = $this->table->season->litres;
        if ($most === null || $needs->litres === null || $needs->litres <= 0 || $needs->minutes === null) {
            return $left;
        }

        return min($left, intdiv(($most - ($this->litres[$day] ?? 0)) * $needs->minutes, $needs->litres));
    }

    /** What keeps this person from leading the job that day: the patch, or kit in other hands. */
    private function against(int $j, int $day, int $lead): ?string
    {
        $season = $this->table->season;
        $job = $season->jobs[$j];
        foreach ($this->onPatch[$job->patch] ?? [] as $when => $jobs) {
            foreach ($jobs as $k => $other) {
                $closes = $season->jobs[$k]->closes;
                if (
                    ($closes !== null && $when < $day && $day <= $when + $closes) ||
                    ($job->closes !== null && $day < $when && $when <= $day + $job->closes) ||
                    ($when === $day && $other !== $lead && ($closes !== null || $job->closes !== null))
                ) {
                    return self::PATCH_CLOSED;
                }
            }
        }
        foreach ($job->needs->carried() as $kind => $product) {
            $held = $this->holders[$day][$kind] ?? [];
            if (
                isset($season->kit[$kind]) &&
                !isset($held["{$lead} {$product}"]) &&
                count($held) >= $season->kit[$kind]
            ) {
                return self::NO_KIT;
            }
        }

        return null;
    }

    private function unable(int $j): string
    {
        return max([-1, ...$this->table->leadUntil[$j]]) < 0 ? self::NOBODY_CLEARED : self::NOBODY_THERE;
    }

    /** Minutes that somebody still has for a job that day, the way there told off. */
    private function free(int $j, int $day, int $h): int
    {
        return ($this->table->minutes[$day][$h] ?? 0) -
            ($this->worked[$day][$h] ?? 0) -
            $this->routeWith($day, $h, $this->table->season->jobs[$j]->patch);
    }

    private function routeWith(int $day, int $h, string $patch): int
    {
        $stops = $this->stops[$day][$h] ?? [];
        $stops[$patch] = 1;

        return $this->table->season->travel->route(array_keys($stops));
    }

    /**
     * Minutes on the road that the job adds.
     *
     * @param Days $days
     */
    private function detour(int $j, array $days): int
    {
        $patch = $this->table->season->jobs[$j]->patch;
        $sum = 0;
        foreach ($days as [$day, $hands]) {
            foreach ($hands as $h) {
                $sum +=
                    $this->routeWith($day, $h, $patch) -
                    $this->table->season->travel->route(array_keys($this->stops[$day][$h] ?? []));
            }
        }

        return $sum;
    }

    /** @param Days $days */
    private function reckon(int $j, array $days, int $sign): void
    {
        $job = $this->table->season->jobs[$j];
        $this->money += $sign * (int) $job->needs->money;
        $left = (int) $job->needs->minutes;
        foreach ($days as [$day, $hands, $minutes]) {
            foreach ($hands as $h) {
                $this->worked[$day][$h] = ($this->worked[$day][$h] ?? 0) + $sign * $minutes;
                $this->stops[$day][$h] = self::counted($this->stops[$day][$h] ?? [], $job->patch, $sign);
            }
            foreach ($job->needs->carried() as $kind => $product) {
                $this->holders[$day][$kind] = self::counted(
                    $this->holders[$day][$kind] ?? [],
                    "{$hands[0]} {$product}",
                    $sign,
                );
            }
            $work = min($left, $minutes * count($hands));
            $left -= $work;
            $this->litres[$day] = ($this->litres[$day] ?? 0) + $sign * $job->needs->litresFor($work);
            if ($sign > 0) {
                $this->onPatch[$job->patch][$day][$j] = $hands[0];
            } else {
                unset($this->onPatch[$job->patch][$day][$j]);
            }
        }
    }

    /**
     * @param array<string, int> $counts
     *
     * @return array<string, int> with one more or less of it; what is none is left out
     */
    private static function counted(array $counts, string $what, int $sign): array
    {
        $n = ($counts[$what] ?? 0) + $sign;

        return $n === 0 ? array_diff_key($counts, [$what => 0]) : [$what => $n] + $counts;
    }
}
