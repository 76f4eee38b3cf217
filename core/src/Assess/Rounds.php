<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\Laying;
use Thicket\Timing\NewGrassSeason;
use Thicket\Timing\PreventerCalendar;
use Thicket\Timing\PreventerTerms;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The rounds that one way of working asks for within a year of a day: every laying of a preventer and what stays open
 * (rulings J48), mowing by height and grazing by days on new native grass (handbook 2), and what is done again in the
 * same season, by its days.
 */
final readonly class Rounds
{
    private const AHEAD_DAYS = 365;
    private const GRASS = 'handbook-2-mow';

    private function __construct() {}

    /** @return list<Finding> in order of their days; empty where it is done once */
    public static function of(Situation $situation, Option $option): array
    {
        return match (true) {
            $situation->target === null => [],
            $option->goesOn('soil') => self::layings($situation, $option),
            NewGrassSeason::is($situation) && $option->how('mow') => self::mowing($situation),
            NewGrassSeason::is($situation) && $option->method->work() === 'animals' => self::grazing($situation),
            default => self::passes($situation, $option),
        };
    }

    /** @return list<Finding> */
    private static function layings(Situation $situation, Option $option): array
    {
        $day = $situation->day;
        $terms = PreventerTerms::of($option->card);
        $intervals = $option->card?->intervals;
        $out = [];
        if ($intervals?->leadDays === null || $intervals->lastingDays === null) {
            $out[] = Finding::withCare(
                'round.usual-terms',
                'handbook-8',
                ['lead' => $terms->leadDays, 'lasting' => $terms->lastingDays],
                null,
                Certainty::Typical,
            );
        }
        if ($situation->target?->germinations() === null) {
            $laid = self::laid($situation, $option);
            $last = Laying::done($laid === [] ? $day : max($laid), $terms->leadDays, $terms->works());
            $again = $last->coversUntil->modify('-' . max(0, $terms->leadDays - 1) . ' days');

            return [
                ...$out,
                Finding::withCare($laid === [] ? 'round.any-time' : 'round.lies', 'rulings-J48', [
                    'on' => $last->latest,
                    'works' => $last->worksFrom,
                    'until' => $last->coversUntil,
                    'again' => max($day, $again, $last->latest->modify("+{$terms->intervalDays} days")),
                ]),
            ];
        }
        $flushes = $situation->phenology()?->flushes((int) $day->format('Y')) ?? [];
        $calendar = PreventerCalendar::of(
            $flushes,
            $terms,
            $day,
            $day->modify('+' . self::AHEAD_DAYS . ' days'),
            self::laid($situation, $option),
        );
        $dated = [];
        foreach ($calendar->layings as $laying) {
            $dated[] = [$laying->earliest, self::laying($laying)];
        }
        foreach ($calendar->unprotected as $gap) {
            if ($gap['to'] < $day) {
                continue;
            }
            $covered = array_filter($calendar->layings, static fn(Laying $l): bool => $l->worksFrom > $gap['to']);
            $tooLate = $gap['from'] <= $day && in_array($gap['to'], array_column($flushes, 'to'), false);
            $dated[] = [
                max($day, $gap['from']),
                $tooLate
                    ? Finding::notNow(
                        'round.too-late',
                        'rulings-J48',
                        ['to' => $gap['to']],
                        $covered === [] ? null : array_values($covered)[0]->earliest,
                        'change.after-they-are-up',
                    )
                    : Finding::withCare('round.open', 'rulings-J48', [
                        'from' => max($day, $gap['from']),
                        'to' => $gap['to'],
                    ]),
            ];
        }
        usort($dated, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return [...$out, ...array_column($dated, 1)];
    }

    /** @return list<\DateTimeImmutable> days on which an active of this tank was laid here already */
    private static function laid(Situation $situation, Option $option): array
    {
        $actives = array_map(static fn(Active $a): string => $a->id(), $option->actives());
        $days = [];
        foreach ($situation->history as $past) {
            $isLaying =
                in_array($past->active, $actives, true) &&
                $option->catalogue->hasMethod($past->method) &&
                $option->catalogue->method($past->method)->onto() === 'soil';
            $isLaying && $past->on <= $situation->day && ($days[] = $past->on);
        }

        return $days;
    }

    private static function laying(Laying $laying): Finding
    {
        return Finding::fits(
            "round.{$laying->kind}",
            'rulings-J48',
            [
                'from' => $laying->earliest,
                'by' => $laying->latest,
                'works' => $laying->worksFrom,
                'until' => $laying->coversUntil,
            ],
            Certainty::Estimated,
        );
    }

    /** @return list<Finding> */
    private static function mowing(Situation $situation): array
    {
        $season = NewGrassSeason::around($situation);
        $isOver = $situation->day > $season->mowingEnds;
        $season = $isOver ? $season->after($situation) : $season;

        return [
            Finding::fits('round.mow-at', self::GRASS, [
                'from' => max($situation->day, $season->starts),
                'last' => $season->mowingEnds,
                'limit' => NewGrassSeason::weedsFrom(),
                'least' => NewGrassSeason::neverBelow(),
            ]),
        ];
    }

    /** @return list<Finding> nothing in the first winter, which is counted from the day of sowing */
    private static function grazing(Situation $situation): array
    {
        $season = NewGrassSeason::around($situation);
        $isOver = $situation->day > $season->grazingEnds;
        $coming = $isOver ? $season->after($situation) : $season;
        $from = max($situation->day, $coming->starts);
        $days = NewGrassSeason::grazingDays($from, $coming->grazingEnds);
        $winter = [
            'from' => max($situation->day, $season->grazingEnds->modify('+1 day')),
            'to' => $season->opensAgain->modify('-1 day'),
        ];
        $over = $situation->firstSeasonOver();

        return [
            ...$over === null ? [Finding::unknown(FactName::PlantedOn->value, self::GRASS, false)] : [],
            ...$over !== null && $winter['from'] < $over
                ? [Finding::notNow('round.first-winter', self::GRASS, $winter, $season->opensAgain)]
                : [],
            Finding::fits('round.graze', self::GRASS, [
                'from' => $from,
                'last' => $coming->grazingEnds,
                'days' => $days,
            ]),
        ];
    }

    /** @return list<Finding> rounds of one season, from the first day that is not shut, while it is open and grows */
    private static function passes(Situation $situation, Option $option): array
    {
        $every = $option->method->passEveryDays();
        $times = Passes::of($situation, $option)->count;
        if ($every === null || $times < 2) {
            return [];
        }
        $season = YearOutlook::seasonAround($situation, $option);
        $on = $season['opens'] ?? $situation->day;
        $last =
            $season['opens'] === null
                ? $season['lastDay']
                : YearOutlook::seasonAround($situation->seasonOnly()->onDay($on), $option)['lastDay'];
        $out = [];
        for ($number = 1; $number <= $times && self::isWorked($situation, $on, $last); ++$number) {
            $out[] = Finding::fits(
                'round.pass',
                $option->method->source(),
                ['number' => $number, 'times' => $times, 'on' => $on],
                Certainty::Typical,
            );
            $on = $on->modify("+{$every} days");
        }

        $left = $times - count($out);

        return $left === 0 || $out === []
            ? $out
            : [...$out, Finding::fits('round.rest', $option->method->source(), ['left' => $left])];
    }

    /** A plant at rest has nothing that a further round would take. */
    private static function isWorked(Situation $situation, \DateTimeImmutable $day, ?\DateTimeImmutable $last): bool
    {
        return ($last === null || $day <= $last) && $situation->phenology()?->flowOn($day) !== 'still';
    }
}
