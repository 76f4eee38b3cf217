<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;
use Thicket\Input\Fields;
use Thicket\Survey\LocalPlane;

/** Reads a season as a JSON document gives it (docs/schemas/season.schema.json). */
final readonly class SeasonReader
{
    private const MOST_JOBS = 1000;
    private const MOST_PEOPLE = 60;
    private const MOST_MINUTES = 100_000;
    private const MOST_MONEY = 1_000_000_000;
    private const MOST_LITRES = 1_000_000;

    /**
     * @return array{Season, list<Placement>} the season, and the plan that is followed already
     *
     * @throws \Thicket\Input\Refused with a pointer to each field that is wrong
     */
    public static function read(Fields $in): array
    {
        [$first, $last] = self::span($in);
        $places = self::places($in);
        $patches = array_values(array_diff(array_keys($places), [Travel::SHED]));
        $jobs = array_map(
            static fn(Fields $job): Job => self::job($job, $patches),
            $in->objects('jobs', self::MOST_JOBS, true),
        );
        $hands = array_map(
            static fn(Fields $one): Hand => self::hand($one, $first, $last),
            $in->objects('people', self::MOST_PEOPLE, true),
        );
        $kit = [];
        foreach ($in->objects('kit', 200) as $one) {
            $kit[$one->text('kind', 60) ?? ''] = $one->int('count', 0, 1000) ?? 0;
            $one->noOthers();
        }
        $lost = [];
        foreach ($in->objects('lost', 2000) as $one) {
            $patch = $one->choice('patch', $patches) ?? '';
            [$from, $until] = self::span($one);
            foreach (array_keys((new WorkingWeek(range(1, 7)))->minutes($from, $until)) as $day) {
                $lost[$patch][] = $day;
            }
            $one->noOthers();
        }
        $season = new Season(
            $first,
            $last,
            $jobs,
            $hands,
            Travel::byDistance($places),
            $kit,
            $in->intOrNull('money', 0, self::MOST_MONEY),
            $in->intOrNull('litresADay', 0, self::MOST_LITRES),
            $lost,
        );
        $before = array_map(self::placement(...), $in->objects('before', self::MOST_JOBS));
        $in->noOthers();
        self::check($in, $season);
        $in->faults->throwIfAny();

        return [$season, $before];
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} */
    private static function span(Fields $in): array
    {
        $first = $in->day('first');
        $last = $in->day('last');
        if ($first !== null && $last !== null && ($last < $first || Day::between($first, $last) >= Season::MOST_DAYS)) {
            $in->fault('last', 'Give a day on or after the first, at most ' . Season::MOST_DAYS . ' days in all.');
            $last = $first;
        }

        return [$first ?? Day::of(2000, 1, 1), $last ?? ($first ?? Day::of(2000, 1, 1))];
    }

    /** @return array<string, array{float, float}> metres from the Shed */
    private static function places(Fields $in): array
    {
        $shed = self::position($in->object('shed'));
        $plane = new LocalPlane($shed);
        $places = [Travel::SHED => [0.0, 0.0]];
        foreach ($in->objects('patches', self::MOST_JOBS, true) as $one) {
            $id = $one->text('id', 80) ?? '';
            isset($places[$id]) && $one->fault('id', 'Another patch has this id already.');
            $places[$id] = $plane->metres(self::position($one));
        }

        return $places;
    }

    /** @return array{float, float} */
    private static function position(Fields $in): array
    {
        $position = [(float) $in->decimal('longitude', '-180', '180'), (float) $in->decimal('latitude', '-90', '90')];
        $in->noOthers();

        return $position;
    }

    private static function hand(Fields $in, \DateTimeImmutable $first, \DateTimeImmutable $last): Hand
    {
        $clearances = [];
        foreach ($in->objects('clearances', 60) as $one) {
            $clearances[$one->text('name', 60) ?? ''] = $one->dayOrNull('until');
            $one->noOthers();
        }
        $away = [];
        foreach ($in->objects('away', 400) as $one) {
            $away[] = self::span($one);
            $one->noOthers();
        }
        $days = array_map(
            intval(...),
            $in->has('weekdays')
                ? $in->strings('weekdays', ['1', '2', '3', '4', '5', '6', '7'], 7)
                : array_map(strval(...), WorkingWeek::USUAL_DAYS),
        );
        $week = new WorkingWeek(
            $days,
            $in->int('minutesADay', 0, 1440, WorkingWeek::USUAL_MINUTES) ?? WorkingWeek::USUAL_MINUTES,
        );
        $hand = new Hand($in->text('id', 80) ?? '', $clearances, $week->minutes($first, $last, $away));
        $in->noOthers();

        return $hand;
    }

    /** @param list<string> $patches */
    private static function job(Fields $in, array $patches): Job
    {
        $open = [];
        foreach ($in->objects('open', 60, true) as $one) {
            [$first, $last] = self::span($one);
            $open[] = new Span($first, $last, $one->bool('withCare', false));
            $one->noOthers();
        }
        $after = [];
        foreach ($in->objects('after', 20) as $one) {
            $after[] = new After(
                $one->text('job', 80) ?? '',
                $one->int('leastDays', 0, Season::MOST_DAYS, 1) ?? 1,
                $one->intOrNull('mostDays', 0, Season::MOST_DAYS),
            );
            $one->noOthers();
        }
        $hours = $in->intOrNull('reentryHours', 0, 2000);
        $job = new Job(
            $in->text('id', 80) ?? '',
            $in->choice('patch', $patches) ?? '',
            self::needs($in->object('needs')),
            $open,
            Worth::of(array_values(array_unique($in->strings('worth', Worth::REASONS))), $in->dayOrNull('bestBefore')),
            $after,
            $hours === null ? null : Job::daysClosed($hours),
            $in->dayOrNull('pin'),
            $in->strings('by', null, self::MOST_PEOPLE, 80),
        );
        $in->noOthers();

        return $job;
    }

    private static function needs(Fields $in): Needs
    {
        $needs = new Needs(
            $in->intOrNull('minutes', 1, self::MOST_MINUTES),
            $in->int('hands', 1, self::MOST_PEOPLE, 1) ?? 1,
            $in->strings('everyone', null, 20, 60),
            $in->strings('lead', null, 20, 60),
            $in->strings('kit', null, 20, 60),
            $in->textOrNull('product', 80) ?? '',
            $in->bool('mixUnknown', false) ? null : $in->int('litres', 0, self::MOST_LITRES, 0),
            $in->bool('moneyUnknown', false) ? null : $in->int('money', 0, self::MOST_MONEY, 0),
            $in->strings('tools', null, 20, 60),
        );
        $in->noOthers();

        return $needs;
    }

    private static function placement(Fields $in): Placement
    {
        $parts = array_map(static function (Fields $part): Part {
            $one = new Part(
                $part->day('day') ?? Day::of(2000, 1, 1),
                $part->strings('people', null, self::MOST_PEOPLE, 80),
                $part->int('minutes', 1, 1440) ?? 1,
            );
            $one->people === [] && $part->fault('people', 'Name who does it.');
            $part->noOthers();

            return $one;
        }, $in->objects('parts', Season::WITHIN_DAYS, true));
        $placement = new Placement($in->text('job', 80) ?? '', $parts);
        $in->noOthers();

        return $placement;
    }

    /** What no field alone can show. */
    private static function check(Fields $in, Season $season): void
    {
        $ids = array_map(static fn(Job $job): string => $job->id, $season->jobs);
        foreach ($season->jobs as $i => $job) {
            array_search($job->id, $ids, true) === $i || $in->fault("jobs/{$i}/id", 'Another job has this id already.');
            foreach ($job->after as $n => $after) {
                ($after->job !== $job->id && in_array($after->job, $ids, true)) ||
                    $in->fault("jobs/{$i}/after/{$n}/job", 'Name another job of this season.');
            }
            foreach ($job->open as $n => $span) {
                $n === 0 ||
                    $span->first > $job->open[$n - 1]->last ||
                    $in->fault("jobs/{$i}/open/{$n}/first", 'Give the open days in order, none of them twice.');
            }
        }
        $people = array_map(static fn(Hand $hand): string => $hand->id, $season->hands);
        count(array_unique($people)) === count($people) || $in->fault('people', 'Two of them have one id.');
    }
}
