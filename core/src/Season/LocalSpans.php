<?php

declare(strict_types=1);

namespace Thicket\Season;

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\DaySpan;

/**
 * A span between two catalogue days as it falls at a ground, also over the turn of the year and in the south, where it
 * lies six months on.
 */
final readonly class LocalSpans
{
    /**
     * @return list<array{first: \DateTimeImmutable, last: \DateTimeImmutable}> those that touch the year, cut to it
     */
    public static function within(SeasonShift $shift, DaySpan $span, int $year): array
    {
        $over = $span->isOverNewYear() ? 1 : 0;
        $out = [];
        foreach ([$year - 1, $year, $year + 1] as $of) {
            $first = max($shift->local($span->from, $of), Day::of($year, 1, 1));
            $last = min($shift->local($span->to, $of + $over), Day::of($year, 12, 31));
            if ($first <= $last) {
                $out[] = ['first' => $first, 'last' => $last];
            }
        }

        return $out;
    }
}
