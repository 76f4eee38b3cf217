<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Thicket\Assess\Board;
use Thicket\Assess\Rounds;
use Thicket\Assess\Row;
use Thicket\Assess\YearOutlook;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Window;
use Thicket\Label\LabelCard;
use Thicket\Measure\System;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\Afterwards;
use Thicket\Timing\SensitivePeriods;
use Thicket\Timing\YearStrip;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** The year strip: weeks with stage and stream, and the windows of each method to the day. */
final readonly class YearResource
{
    /** Lanes of a strip that can still be read. */
    private const FEW = 6;

    public function __construct(private Sentences $sentences, private Catalogue $catalogue) {}

    /**
     * @param Row|null $chosenRow the job in hand, judged today
     * @param list<LabelCard> $cards of its tank
     *
     * @return array<string, mixed>
     */
    public function year(Situation $situation, int $year, Board $board, ?Row $chosenRow, array $cards): array
    {
        $few = $board->few(self::FEW, $chosenRow);
        $strip = YearStrip::of($situation, $year, array_map(static fn(Row $r): Option => $r->option, $few));

        return [
            'year' => $year,
            'today' => Format::day($situation->day),
            'shiftDays' => $situation->shift->springDays->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(),
            'trusted' => $situation->shift->isTrusted,
            'weeks' => array_map(
                fn(array $week): array => [
                    'first' => Format::day($week['first']),
                    'last' => Format::day($week['last']),
                    'flow' => $week['flow'],
                    'sap' => $week['sap'],
                    'stage' =>
                        $week['stage'] === null
                            ? null
                            : ['code' => $week['stage'], 'name' => $this->sentences->name("stage.{$week['stage']}")],
                ],
                $strip->weeks,
            ),
            'lanes' => array_map(
                fn(array $lane, Row $row): array => $this->lane(
                    $lane['windows'],
                    $row,
                    $situation,
                    $strip,
                    $row === $chosenRow,
                ),
                $strip->lanes,
                $few,
            ),
            'care' => array_map(
                fn(array $span): array => [
                    'kind' => $span['kind'],
                    'name' => $this->sentences->in("care.{$span['kind']}", ['keeper' => $span['name']], System::Us),
                    'first' => Format::day($span['first']),
                    'last' => Format::day($span['last']),
                    'text' => $this->sentences->day($span['first']) . ' – ' . $this->sentences->day($span['last']),
                ],
                SensitivePeriods::spans($situation, $year, $this->catalogue),
            ),
            'chosen' =>
                $chosenRow === null
                    ? null
                    : [
                        'name' => $this->sentences->name("method.{$chosenRow->option->method->id()}"),
                        'outcome' => $chosenRow->outcome->value,
                        'outcomeName' => $this->sentences->name("outcome.{$chosenRow->outcome->value}"),
                        'opens' => $this->opens($situation, $chosenRow),
                        'rounds' => array_map(
                            fn(Finding $f): array => [
                                'code' => $f->missing ?? $f->code,
                                'text' => $this->sentences->sentence($f->code, $f->values),
                            ],
                            Rounds::of($situation, $chosenRow->option),
                        ),
                        // what it shuts, were it done today
                        'after' => array_map(
                            fn(Finding $f): array => [
                                'code' => $f->missing ?? $f->code,
                                'text' => $this->sentences->sentence($f->code, $f->values),
                                'until' =>
                                    ($until = $f->values['until'] ?? null) instanceof \DateTimeImmutable
                                        ? Format::day($until)
                                        : null,
                            ],
                            Afterwards::of($situation, $chosenRow->option, $cards),
                        ),
                    ],
        ];
    }

    /**
     * @param list<Window> $windows
     *
     * @return array<string, mixed>
     */
    private function lane(array $windows, Row $row, Situation $situation, YearStrip $strip, bool $chosen): array
    {
        $of = YearOutlook::of($situation, $row->option, $strip->year);
        $name = fn(Outcome $o): string => $this->sentences->name("outcome.{$o->value}");

        return [
            'method' => [
                'id' => $row->option->method->id(),
                'name' => $this->sentences->name("method.{$row->option->method->id()}"),
            ],
            'active' => $row->option->active?->name(),
            'chosen' => $chosen,
            'windows' => array_map($this->window(...), $windows),
            'weeks' => array_map(static function (array $week) use ($of, $name): array {
                $between = $of->between($week['first'], $week['last']);

                return [
                    'worst' => $between['worst']->value,
                    'best' => $between['best']->value,
                    'name' =>
                        $between['worst'] === $between['best']
                            ? $name($between['worst'])
                            : $name($between['worst']) . ' – ' . $name($between['best']),
                ];
            }, $strip->weeks),
            'now' => $row->outcome->value,
            'nowName' => $name($row->outcome),
            'opens' => $this->opens($situation, $row),
        ];
    }

    /** @return array<string, mixed>|null */
    private function opens(Situation $situation, Row $row): ?array
    {
        return $row->opens === null
            ? null
            : [
                'date' => Format::day($row->opens),
                'text' => $this->sentences->day($row->opens),
                'weeks' => intdiv(max(0, Day::between($situation->day, $row->opens)) + 6, 7),
            ];
    }

    /** @return array<string, mixed> */
    private function window(Window $window): array
    {
        return [
            'first' => Format::day($window->first),
            'last' => Format::day($window->last),
            'grade' => $window->grade->value,
            'why' => $this->sentences->name("why.{$window->reason}"),
            'text' => $this->sentences->day($window->first) . ' – ' . $this->sentences->day($window->last),
        ];
    }
}
