<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Thicket\Calendar\Day;
use Thicket\SeasonPlan\After;
use Thicket\SeasonPlan\Hand;
use Thicket\SeasonPlan\Job;
use Thicket\SeasonPlan\Needs;
use Thicket\SeasonPlan\Season;
use Thicket\SeasonPlan\Span;
use Thicket\SeasonPlan\Travel;
use Thicket\SeasonPlan\Worth;

/*
 * Seasons for tests and the benchmark: days are counted from Monday 2 March 2026.
 */

const SEASON_BEGINS = '2026-03-02';

function seasonDay(int $i): \DateTimeImmutable
{
    return Day::parse(SEASON_BEGINS)->modify("+{$i} days");
}

/**
 * @param array<string, \DateTimeImmutable|null> $clearances
 * @param int $days of the season
 * @param list<int>|null $only days on which they work; weekdays where null
 */
function seasonHand(string $id, array $clearances, int $days, int $minutes = 360, ?array $only = null): Hand
{
    $there = [];
    for ($i = 0; $i < $days; ++$i) {
        if ($only === null ? $i % 7 < 5 : in_array($i, $only, true)) {
            $there[seasonDay($i)->format('Y-m-d')] = $minutes;
        }
    }

    return new Hand($id, $clearances, $there);
}

/**
 * A season by chance: jobs with one or two spells of open days, short and long work, programmes in a row, re-entry,
 * pins, people with clearances that may run out, scarce kit, sometimes a limit on money or mix, days lost to weather.
 */
function randomSeason(int $seed, int $jobs, int $days, int $people): Season
{
    $random = new Randomizer(new Mt19937($seed));
    $chance = static fn(int $percent): bool => $random->getInt(1, 100) <= $percent;
    $patches = [];
    for ($p = 0; $p < max(2, intdiv($jobs, 4)); ++$p) {
        $patches["p{$p}"] = [(float) $random->getInt(-12_000, 12_000), (float) $random->getInt(-12_000, 12_000)];
    }
    $list = [];
    for ($j = 0; $j < $jobs; ++$j) {
        $first = $random->getInt(0, $days - 10);
        $spans = [new Span(seasonDay($first), seasonDay($first + $random->getInt(0, 60)), $chance(30))];
        if ($chance(25)) {
            $next = Day::between(seasonDay(0), $spans[0]->last) + $random->getInt(2, 40);
            $spans[] = new Span(seasonDay($next), seasonDay($next + $random->getInt(3, 30)), $chance(50));
        }
        $isSpray = $chance(60);
        $list[] = new Job(
            "j{$j}",
            'p' . $random->getInt(0, count($patches) - 1),
            new Needs(
                $chance(3) ? null : $random->getInt(10, $chance(15) ? 2400 : 300),
                $chance(15) ? 2 : 1,
                $isSpray ? ['product'] : ($chance(20) ? ['saw'] : []),
                $isSpray && $chance(50) ? ['licence'] : [],
                $isSpray ? ['backpack'] : [],
                $isSpray ? ['red', 'blue'][$random->getInt(0, 1)] : '',
                $isSpray ? ($chance(8) ? null : $random->getInt(0, 300)) : 0,
                $chance(10) ? null : $random->getInt(0, 9000),
                $chance(10) ? ['chipper'] : [],
            ),
            $spans,
            Worth::of(
                array_values(array_filter(Worth::REASONS, static fn(): bool => $chance(25))),
                $chance(20) ? seasonDay($first + $random->getInt(0, 40)) : null,
            ),
            $j > 0 && $chance(25)
                ? [new After('j' . $random->getInt(0, $j - 1), $random->getInt(1, 60), $chance(30) ? 90 : null)]
                : [],
            $isSpray ? $random->getInt(0, 2) : null,
            $chance(6) ? seasonDay($random->getInt(0, $days - 1)) : null,
            $chance(5) ? ['h' . $random->getInt(0, $people - 1)] : [],
        );
    }
    $hands = [];
    for ($h = 0; $h < $people; ++$h) {
        $clearances = ['product' => null];
        $h % 2 === 0 && ($clearances['licence'] = $chance(30) ? seasonDay($random->getInt(0, $days)) : null);
        $chance(60) && ($clearances['saw'] = null);
        $hands[] = seasonHand("h{$h}", $h % 4 === 3 ? [] : $clearances, $days, $random->getInt(4, 8) * 60);
    }
    $lost = [];
    foreach (array_keys($patches) as $patch) {
        for ($i = 0; $i < $days; ++$i) {
            $chance(8) && ($lost[$patch][] = seasonDay($i)->format('Y-m-d'));
        }
    }

    return new Season(
        seasonDay(0),
        seasonDay($days - 1),
        $list,
        $hands,
        Travel::byDistance($patches + [Travel::SHED => [0.0, 0.0]]),
        ['backpack' => $random->getInt(1, 2), 'chipper' => 1],
        $chance(40) ? $random->getInt(1, $jobs) * 2500 : null,
        $chance(40) ? $random->getInt(60, 400) : null,
        $lost,
    );
}
