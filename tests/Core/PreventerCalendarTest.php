<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Timing\Laying;
use Thicket\Timing\PreventerCalendar;

/** @param list<array{string, string}> $flushes */
function layings(
    array $flushes,
    int $lead,
    int $lasting,
    bool $inside,
    string $from = '2026-01-01',
    ?int $most = null,
    int $interval = 0,
): PreventerCalendar {
    return PreventerCalendar::of(
        array_map(static fn(array $f): array => ['from' => Day::parse($f[0]), 'to' => Day::parse($f[1])], $flushes),
        new Thicket\Timing\PreventerTerms($lead, $lasting, $inside, $most, $interval),
        Day::parse($from),
        Day::parse('2027-12-31'),
    );
}

it('lays a preventer before each flush and again when it is spent inside one', function (
    PreventerCalendar $calendar,
    array $days,
    array $open = [],
) {
    expect(
        array_map(
            static fn(Laying $l): array => [$l->kind, $l->latest->format('Y-m-d'), $l->coversUntil->format('Y-m-d')],
            $calendar->layings,
        ),
    )
        ->toBe($days)
        ->and(
            array_map(
                static fn(array $u): array => [$u['from']->format('Y-m-d'), $u['to']->format('Y-m-d')],
                $calendar->unprotected,
            ),
        )
        ->toBe($open);
})->with([
    // 30 days before 15 September; works 60 of its 90 days where the lead counts inside, 15 September to 13 November
    'lead inside' => [
        fn() => layings([['2026-09-15', '2026-11-13']], 30, 90, true),
        [['first', '2026-08-16', '2026-11-13']],
    ],
    'a flush a day longer wants a second' => [
        fn() => layings([['2026-09-15', '2026-11-14']], 30, 90, true),
        [['first', '2026-08-16', '2026-11-13'], ['repeat-by', '2026-10-15', '2027-01-12']],
    ],
    'lead outside lasts thirty days more' => [
        fn() => layings([['2026-09-15', '2026-11-14']], 30, 90, false),
        [['first', '2026-08-16', '2026-12-13']],
    ],
    'already inside the flush: what sprouted is through' => [
        fn() => layings([['2026-09-15', '2026-11-13']], 30, 90, true, '2026-09-15'),
        [['first', '2026-09-15', '2026-12-13']],
        [['2026-09-15', '2026-10-14']],
    ],
    'too late for the flush' => [
        fn() => layings([['2026-09-15', '2026-11-13']], 30, 90, true, '2026-10-15'),
        [],
        [['2026-09-15', '2026-11-13']],
    ],
    'the last day that helps' => [
        fn() => layings([['2026-09-15', '2026-11-13']], 30, 90, true, '2026-10-14'),
        [['first', '2026-10-14', '2027-01-11']],
        [['2026-09-15', '2026-11-12']],
    ],
    'once a year by the card' => [
        fn() => layings([['2026-05-01', '2026-08-01']], 0, 60, true, '2026-01-01', 1),
        [['first', '2026-05-01', '2026-06-29']],
        [['2026-06-30', '2026-08-01']],
    ],
    'no nearer than the interval' => [
        fn() => layings([['2026-05-01', '2026-08-01']], 0, 60, true, '2026-01-01', 2, 75),
        [['first', '2026-05-01', '2026-06-29'], ['repeat-by', '2026-07-15', '2026-09-12']],
        [['2026-06-30', '2026-07-14']],
    ],
    'two flushes of a winter annual' => [
        fn() => layings([['2026-09-01', '2026-10-15'], ['2027-03-01', '2027-04-01']], 14, 90, true),
        [['first', '2026-08-18', '2026-11-15'], ['first', '2027-02-15', '2027-05-15']],
    ],
]);
