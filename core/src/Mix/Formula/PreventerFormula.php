<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Timing\Laying;
use Thicket\Timing\PreventerCalendar;
use Thicket\Timing\PreventerTerms;

/** Every laying of a preventer and what nothing covers (rulings J48) */
final readonly class PreventerFormula implements Formula
{
    private const MOST_FLUSHES = 12;

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $flushes = [];
        foreach ($in->objects('flushes', self::MOST_FLUSHES, true) as $item) {
            [$from, $to] = [$item->day('from'), $item->day('to')];
            $item->noOthers();
            if ($from !== null && $to !== null && $to < $from) {
                $item->fault('to', 'A flush ends on or after the day it begins.');
            } elseif ($from !== null && $to !== null) {
                $flushes[] = ['from' => $from, 'to' => $to];
            }
        }
        $lead = $in->int('leadDays', 0, 400);
        $lasting = $in->int('lastingDays', 1, 1000);
        $inside = $in->bool('leadInside', false);
        [$from, $until] = [$in->day('from'), $in->day('until')];
        $most = $in->intOrNull('applications', 1, 50);
        $interval = $in->int('intervalDays', 0, 400, 0);
        if ($from !== null && $until !== null && ($until < $from || $from->diff($until)->days > 1100)) {
            $in->fault('until', 'Plan to a day after the first, three years at most.');
        }
        if (
            $flushes === [] ||
            $lead === null ||
            $lasting === null ||
            $from === null ||
            $until === null ||
            $interval === null ||
            $in->faults->any()
        ) {
            return FormulaAnswer::none();
        }
        usort($flushes, static fn(array $a, array $b): int => $a['from'] <=> $b['from']);
        $calendar = PreventerCalendar::of(
            $flushes,
            new PreventerTerms($lead, $lasting, $inside, $most, $interval),
            $from,
            $until,
        );

        return new FormulaAnswer([
            'layings' => array_map(
                static fn(Laying $l): array => [
                    'kind' => $l->kind,
                    'earliest' => $l->earliest->format('Y-m-d'),
                    'latest' => $l->latest->format('Y-m-d'),
                    'works-from' => $l->worksFrom->format('Y-m-d'),
                    'covers-until' => $l->coversUntil->format('Y-m-d'),
                ],
                $calendar->layings,
            ),
            'unprotected' => array_map(
                static fn(array $gap): array => [
                    'from' => $gap['from']->format('Y-m-d'),
                    'to' => $gap['to']->format('Y-m-d'),
                ],
                $calendar->unprotected,
            ),
        ]);
    }
}
