<?php

declare(strict_types=1);

namespace Thicket\Review;

use Brick\Math\BigRational;

/**
 * Hours and money of many records under one heading (handbook 7). What a record does not tell is left out of the sum,
 * and which records that were is told beside it; what a hectare or a dead plant costs is told only of records that tell
 * both.
 */
final readonly class Account
{
    private const MINUTES_OF_HOUR = 60;

    public BigRational $hours;
    public BigRational $money;
    public int $treated;
    /** @var list<int> numbers of the records */
    public array $records;
    /** @var list<int> that tell no time */
    public array $withoutTime;
    /** @var list<int> whose money is not known */
    public array $withoutMoney;
    /** @var list<int> whose figures were put right by words since: they count as they were signed */
    public array $amended;
    public ?BigRational $perHectare;
    public ?BigRational $perDead;
    /** Plants found dead, of the judged ones. */
    public ?int $dead;
    /** Wanted trees that were given room; null where no look counted any. */
    public ?int $released;

    /** @param non-empty-list<Job> $jobs */
    private function __construct(public string $heading, array $jobs)
    {
        $hours = $money = BigRational::zero();
        $treated = 0;
        $withoutTime = $withoutMoney = [];
        foreach ($jobs as $job) {
            $treated += $job->treated;
            $job->minutes === null
                ? ($withoutTime[] = $job->record)
                : ($hours = $hours->plus(BigRational::of($job->minutes)->dividedBy(self::MINUTES_OF_HOUR)));
            $job->money === null ? ($withoutMoney[] = $job->record) : ($money = $money->plus($job->money));
        }
        [$this->hours, $this->money, $this->treated] = [$hours, $money, $treated];
        $this->records = array_map(static fn(Job $job): int => $job->record, $jobs);
        [$this->withoutTime, $this->withoutMoney] = [$withoutTime, $withoutMoney];
        $this->amended = array_values(
            array_map(
                static fn(Job $job): int => $job->record,
                array_filter($jobs, static fn(Job $job): bool => $job->amended),
            ),
        );
        $this->perHectare = self::per($jobs, static fn(Job $job): ?BigRational => $job->hectares);
        $this->perDead = self::per(
            $jobs,
            static fn(Job $job): ?BigRational => $job->dead === null
                ? null
                : BigRational::of((string) round($job->dead, 6)),
        );
        $judged = array_filter(
            array_map(static fn(Job $job): ?float => $job->dead, $jobs),
            static fn(?float $dead): bool => $dead !== null,
        );
        $this->dead = $judged === [] ? null : (int) round(array_sum($judged));
        $released = array_filter(
            array_map(static fn(Job $job): ?int => $job->released, $jobs),
            static fn(?int $trees): bool => $trees !== null,
        );
        $this->released = $released === [] ? null : array_sum($released);
    }

    /**
     * @param list<Job> $jobs
     * @param \Closure(Job): string $heading
     *
     * @return list<self> by heading
     */
    public static function by(array $jobs, \Closure $heading): array
    {
        $under = [];
        foreach ($jobs as $job) {
            $under[$heading($job)][] = $job;
        }
        ksort($under, SORT_NATURAL);

        return array_map(
            static fn(string|int $name, array $of): self => new self((string) $name, $of),
            array_keys($under),
            $under,
        );
    }

    /**
     * Kilograms of each active put out in each year (rulings J7 count by the year of the card; this one is the
     * calendar's, for reports).
     *
     * @param list<Job> $jobs
     *
     * @return list<array{year: string, active: string, kilograms: BigRational}>
     */
    public static function actives(array $jobs): array
    {
        $sums = [];
        foreach ($jobs as $job) {
            foreach ($job->kilograms as $active => $kilograms) {
                $sums[$job->year][$active] = ($sums[$job->year][$active] ?? BigRational::zero())->plus($kilograms);
            }
        }
        ksort($sums);
        $out = [];
        foreach ($sums as $year => $actives) {
            ksort($actives);
            foreach ($actives as $active => $kilograms) {
                $out[] = ['year' => (string) $year, 'active' => (string) $active, 'kilograms' => $kilograms];
            }
        }

        return $out;
    }

    /**
     * Money for one of what is counted, over the jobs that tell both; null where none does.
     *
     * @param list<Job> $jobs
     * @param \Closure(Job): ?BigRational $counted
     */
    private static function per(array $jobs, \Closure $counted): ?BigRational
    {
        $money = $of = BigRational::zero();
        foreach ($jobs as $job) {
            $n = $counted($job);
            if ($n !== null && $job->money !== null) {
                $money = $money->plus($job->money);
                $of = $of->plus($n);
            }
        }

        return $of->isZero() ? null : $money->dividedBy($of);
    }
}
