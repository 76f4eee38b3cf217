<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Calendar\Day;

/**
 * When a preventer is laid (rulings J48, handbook 4 back-scheduling): active before a flush begins, or during it before
 * seedlings show, and again when its lasting time ends inside a flush. Never more often than the card's number and
 * interval; what stays open is told.
 */
final readonly class PreventerCalendar
{
    /**
     * @param list<Laying> $layings in order
     * @param list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}> $unprotected parts of flushes that nothing
     *     covers
     */
    private function __construct(public array $layings, public array $unprotected) {}

    /**
     * @param list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}> $flushes in order; ends are included
     * @param \DateTimeImmutable $from first day that anything can be laid
     * @param \DateTimeImmutable $until last day planned for
     * @param list<\DateTimeImmutable> $laid days on which it was laid already: what they cover is covered, and they
     *     count for the card's number and interval
     */
    public static function of(
        array $flushes,
        PreventerTerms $terms,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
        array $laid = [],
    ): self {
        [$works, $lead] = [$terms->works(), $terms->leadDays];
        $unprotected = [];
        sort($laid);
        $layings = array_map(static fn(\DateTimeImmutable $day): Laying => Laying::done($day, $lead, $works), $laid);
        foreach ($flushes as $flush) {
            if ($flush['to'] < $from || $flush['from'] > $until) {
                continue;
            }
            $open = $flush['from'];
            if ($layings !== [] && $layings[count($layings) - 1]->coversUntil >= $open) {
                $open = $layings[count($layings) - 1]->coversUntil->modify('+1 day');
            }
            $first = true;
            while ($open <= $flush['to']) {
                $latest = $open->modify("-{$lead} days");
                $last = $layings === [] ? null : $layings[count($layings) - 1]->latest;
                $earliest = max(
                    $from,
                    $last === null ? $from : $last->modify("+{$terms->intervalDays} days"),
                    $latest->modify('-' . max(0, $works - 1) . ' days'),
                );
                $day = max($latest, $earliest);
                $active = $day->modify("+{$lead} days");
                if (
                    self::thatYear($layings, $day) >= ($terms->applications ?? PHP_INT_MAX) ||
                    $works === 0 ||
                    $active > $flush['to']
                ) {
                    $unprotected[] = ['from' => $open, 'to' => $flush['to']];
                    break;
                }
                if ($day > $until) {
                    // beyond what is planned: neither laid nor open
                    break;
                }
                $active > $open && ($unprotected[] = ['from' => $open, 'to' => $active->modify('-1 day')]);
                $covered = $active->modify('+' . ($works - 1) . ' days');
                $layings[] = new Laying(
                    match (true) {
                        $first && !self::follows($layings, $flush['from']) => Laying::FIRST,
                        $terms->onlyIfNeeded => Laying::LOOK,
                        default => Laying::REPEAT,
                    },
                    min($earliest, $day),
                    $day,
                    $active,
                    $covered,
                );
                $open = $covered->modify('+1 day');
                $first = false;
            }
        }

        return new self(array_slice($layings, count($laid)), $unprotected);
    }

    /** The laying that is due next, on or after a day. */
    public function next(\DateTimeImmutable $day): ?Laying
    {
        foreach ($this->layings as $laying) {
            if ($laying->latest >= $day) {
                return $laying;
            }
        }

        return null;
    }

    /** @param list<Laying> $layings */
    private static function thatYear(array $layings, \DateTimeImmutable $day): int
    {
        return count(array_filter($layings, static fn(Laying $l): bool => Day::year($l->latest) === Day::year($day)));
    }

    /**
     * Whether the one before still worked when the flush began.
     *
     * @param list<Laying> $layings
     */
    private static function follows(array $layings, \DateTimeImmutable $flush): bool
    {
        return $layings !== [] && $layings[count($layings) - 1]->coversUntil >= $flush;
    }
}
