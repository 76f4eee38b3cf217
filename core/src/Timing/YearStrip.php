<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Calendar\Day;
use Thicket\Catalogue\Window;
use Thicket\Catalogue\WindowGrade;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * The year of one stand in 52 columns of seven days from 1 January, the last of 8 or 9 (rulings B34): stage, sugar
 * flow, sap, and for each method the windows to the day. Evaluated from change dates, never day by day.
 */
final readonly class YearStrip
{
    private const COLUMNS = 52;

    /**
     * @param list<array{first: \DateTimeImmutable, last: \DateTimeImmutable, stage: string|null, flow: string,
     *     sap: bool}> $weeks
     * @param list<array{option: Option, windows: list<Window>}> $lanes
     */
    private function __construct(public int $year, public array $weeks, public array $lanes) {}

    /** @param list<Option> $options one per lane */
    public static function of(Situation $situation, int $year, array $options): self
    {
        $first = Day::of($year, 1, 1);
        $last = Day::of($year, 12, 31);
        $phenology = $situation->phenology();
        $weeks = [];
        for ($column = 0; $column < self::COLUMNS; ++$column) {
            $start = $first->modify('+' . 7 * $column . ' days');
            $end = $column === self::COLUMNS - 1 ? $last : $start->modify('+6 days');
            $middle = $start->modify('+3 days');
            $fullLeaf = $phenology?->dayOf('fullLeaf', $year);
            $weeks[] = [
                'first' => $start,
                'last' => $end,
                'stage' => $phenology?->stageOn($middle),
                'flow' => $phenology?->flowOn($middle) ?? 'still',
                'sap' =>
                    $situation->target?->sapFlow() === 'strong' &&
                    $phenology !== null &&
                    $fullLeaf !== null &&
                    $middle >= $phenology->local('01-16', $year) &&
                    $middle < $fullLeaf,
            ];
        }
        $lanes = [];
        $mid = $situation->onDay(Day::of($year, 7, 1));
        foreach ($options as $option) {
            $windows = SeasonWindows::for($mid, $option);
            $lanes[] = [
                'option' => $option,
                'windows' => $windows === null ? [] : self::within($windows->windows, $first, $last),
            ];
        }

        return new self($year, $weeks, $lanes);
    }

    /**
     * @param list<Window> $windows
     *
     * @return list<Window> cut to the year, those to be avoided left out
     */
    private static function within(array $windows, \DateTimeImmutable $first, \DateTimeImmutable $last): array
    {
        $out = [];
        foreach ($windows as $window) {
            if ($window->grade !== WindowGrade::Avoid && $window->last >= $first && $window->first <= $last) {
                $out[] = new Window(
                    max($window->first, $first),
                    min($window->last, $last),
                    $window->grade,
                    $window->reason,
                    $window->source,
                );
            }
        }

        return $out;
    }
}
