<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/**
 * A stand over the years, course by course: many worlds are drawn within what is assumed, each runs through every
 * course with chance of its own, and each year's figures are told as a band (docs/outlook.md).
 */
final readonly class Projection
{
    public const RUNS = 1000;
    /** Of ten runs eight lie within a band. */
    public const BAND = [0.1, 0.5, 0.9];
    private const SUMMED = ['hours', 'litres', 'money'];

    /**
     * @param array<string, list<array<string, array{float, float, float}|null>>> $bands by course, a line a year from
     *     today: plants seen, seeds in the soil as a share of today's, hours, litres, money, share of what is kept that
     *     lives
     * @param array<string, list<float>> $under by course and year: share of the runs with fewer plants than was wished
     * @param array<string, array{float, float, float}> $crop by course: years until what is kept bears or stands clear
     * @param array<string, array<string, array{float, float, float}|null>> $totals by course: hours, litres, money of
     *     all years
     */
    private function __construct(public array $bands, public array $under, public array $crop, public array $totals) {}

    /**
     * More than six: what is projected, and how.
     *
     * @param list<Course> $courses
     * @param float $threshold plants
     * @param int $runs 1: every figure at its middle, and no chance
     */
    public static function of(
        Start $start,
        Assumptions $assumptions,
        array $courses,
        int $years,
        float $threshold,
        int $seed,
        int $runs = self::RUNS,
    ): self {
        $ways = [];
        foreach ($courses as $course) {
            $course->way === null || ($ways[$course->way->id] = $course->way);
        }
        $runsOf = $crop = [];
        for ($run = 0; $run < $runs; ++$run) {
            $dice = $runs === 1 ? null : new Dice($seed + $run);
            $world = World::of($assumptions, $ways, $start, $dice);
            foreach ($courses as $course) {
                [$lines, $borne] = self::run($start, $world, $course, $years, $dice);
                $runsOf[$course->id][] = $lines;
                $borne === null || ($crop[$course->id][] = $borne);
            }
        }
        $bands = $under = $totals = [];
        foreach ($runsOf as $course => $all) {
            $bands[$course] = $under[$course] = [];
            for ($year = 0; $year <= $years; ++$year) {
                $of = array_column($all, $year);
                $bands[$course][] = self::bands($of);
                $plants = array_column($of, 'plants');
                $under[$course][] =
                    (float) count(array_filter($plants, static fn(float $n): bool => $n < $threshold)) / $runs;
            }
            $totals[$course] = self::bands(array_map(self::sum(...), $all));
        }

        return new self(
            $bands,
            $under,
            array_map(static fn(array $all): array => self::band($all) ?? [0.0, 0.0, 0.0], $crop),
            $totals,
        );
    }

    /**
     * @param list<array{hours: float, litres: float|null, money: float|null, ...}> $lines of one run
     *
     * @return array<string, float|null> what all its years take
     */
    private static function sum(array $lines): array
    {
        $sum = [];
        foreach (self::SUMMED as $figure) {
            $all = array_column($lines, $figure);
            $sum[$figure] = in_array(null, $all, true) ? null : array_sum($all);
        }

        return $sum;
    }

    /**
     * @param list<array<string, float|null>> $lines of one year, a run each
     *
     * @return array<string, array{float, float, float}|null> by figure
     */
    private static function bands(array $lines): array
    {
        $bands = [];
        foreach (array_keys($lines[0]) as $figure) {
            $bands[$figure] = self::band(array_column($lines, $figure));
        }

        return $bands;
    }

    /**
     * @return array{list<array{plants: float, seeds: float, hours: float, litres: float|null, money: float|null,
     *     kept: float|null}>, float|null} a line a year from today, and the year in which what
     *     is kept bears
     */
    private static function run(Start $start, World $world, Course $course, int $years, ?Dice $dice): array
    {
        $stand = new Population($world, $dice, $start);
        $hectares = $start->hectares ?? 0.0;
        $seeds = max(1.0, $stand->bank);
        $keeps = isset($world->at['livesFree']);
        $alive = 1.0;
        [$grown, $borne] = [0.0, null];
        $lines = [self::line($stand->visible(), 1.0, 0.0, 0.0, 0.0, $keeps ? 1.0 : null)];
        for ($year = 1; $year <= $years; ++$year) {
            $full = min(1.0, $stand->visible() / $world->room);
            $way = $course->wayIn($year);
            $treated = $stand->yearOn($way === null ? null : $world->kills[$way->id]);
            $stand->spring($hectares);
            [$hours, $litres, $money] = self::effort($way, $world, $treated, $hectares);
            if ($keeps) {
                $alive *= $world->at['livesFree'] - ($world->at['livesFree'] - $world->at['livesUnder']) * $full;
                $grown += 1 - $world->at['slows'] * $full;
                $grown >= $world->at['yearsToCrop'] && ($borne ??= (float) $year);
            }
            $lines[] = self::line(
                $stand->visible(),
                $stand->bank / $seeds,
                $hours,
                $litres,
                $money,
                $keeps ? $alive : null,
            );
        }

        return [$lines, $keeps ? $borne ?? $years + 1.0 : null];
    }

    /** @return array{float, float|null, float|null} hours, litres, money of the work of a year */
    private static function effort(?Way $way, World $world, float $treated, float $hectares): array
    {
        if ($way === null) {
            return [0.0, 0.0, 0.0];
        }
        $patrol = ($world->at['patrol'] * $hectares) / 60;
        $hours = max($patrol, $way->effort->hours($treated, $world->hands[$way->id], $world->setUp[$way->id]));

        return [$hours, $way->effort->litres($treated), $way->effort->money($treated, $hours)];
    }

    /**
     * @return array{plants: float, seeds: float, hours: float, litres: float|null, money: float|null,
     *     kept: float|null}
     */
    private static function line(
        float $plants,
        float $seeds,
        float $hours,
        ?float $litres,
        ?float $money,
        ?float $kept,
    ): array {
        return [
            'plants' => $plants,
            'seeds' => $seeds,
            'hours' => $hours,
            'litres' => $litres,
            'money' => $money,
            'kept' => $kept,
        ];
    }

    /**
     * @param list<float|null> $all
     *
     * @return array{float, float, float}|null null where one of them is not known
     */
    private static function band(array $all): ?array
    {
        $known = array_filter($all, static fn(?float $one): bool => $one !== null);
        if (count($known) < count($all)) {
            return null;
        }
        sort($known);
        $last = count($known) - 1;
        $at = static fn(float $share): float => $known[(int) round($share * $last)];

        return [$at(self::BAND[0]), $at(self::BAND[1]), $at(self::BAND[2])];
    }
}
