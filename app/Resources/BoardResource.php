<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Assess\Board;
use Thicket\Assess\Criteria;
use Thicket\Assess\Row;
use Thicket\Assess\Weighing;
use Thicket\Catalogue\Active;
use Thicket\Measure\System;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** The board as it crosses the wire: codes and values, and the sentences made of them in both unit systems. */
final readonly class BoardResource
{
    /** Where a missing fact is answered; everything else at Scout. */
    private const STATIONS = ['setting' => 'ground', 'treated-area' => 'scout', 'water-distance' => 'ground'];

    public function __construct(private Sentences $sentences, private LearnedResource $learned) {}

    /**
     * The board to choose from: each row with its figures and what decides it; the reasons come with the row that is
     * opened ({@see row()}).
     *
     * @return array<string, mixed>
     */
    public function board(Board $board, Situation $situation): array
    {
        return $this->head($board, $situation) + [
            'schools' => $this->schools($board),
            'rows' => array_map($this->line(...), $board->rows),
        ];
    }

    /** @return array<string, mixed> the board with every reason of every row, as the console gives it */
    public function whole(Board $board, Situation $situation): array
    {
        return $this->head($board, $situation) + ['rows' => array_map($this->row(...), $board->rows)];
    }

    /** @return array<string, mixed> */
    private function head(Board $board, Situation $situation): array
    {
        $stage = $situation->stage();
        $flow = $situation->phenology()?->flowOn($situation->day);

        return [
            'date' => Format::day($situation->day),
            'catalogue' => $board->catalogueHash,
            'stage' =>
                $stage === null
                    ? null
                    : [
                        'code' => $stage[0],
                        'name' => $this->sentences->name("stage.{$stage[0]}"),
                        'certainty' => $stage[1]->value,
                    ],
            'flow' => $flow === null ? null : ['code' => $flow, 'name' => $this->sentences->name("flow.{$flow}")],
            'weights' => $board->weights->parts,
            'notes' => [['code' => 'note.fire', 'text' => $this->sentences->name('note.fire')]],
        ];
    }

    /** @return list<string> schools that a row of this very board rests on */
    private function schools(Board $board): array
    {
        $schools = [];
        foreach ($board->rows as $row) {
            foreach ($row->findings as $finding) {
                $finding->school === null || ($schools[$finding->school] = true);
            }
        }

        return array_map(strval(...), array_keys($schools));
    }

    /** @return array<string, mixed> one row to choose from */
    private function line(Row $row): array
    {
        $measures = $row->measures;
        $decides = $row->findings[0] ?? null;

        return $this->option($row) + [
            'lead' => $decides === null ? null : $this->sentences->sentence($decides->code, $this->worded($decides)),
            'measures' => [
                'control' =>
                    $measures->controlLow === null
                        ? null
                        : ['low' => $measures->controlLow, 'high' => $measures->controlHigh],
                'harm' => $measures->harm,
                'hours' => Format::hours($measures->labour->total()),
                'keepInjury' => $measures->keepInjury,
            ],
        ];
    }

    /** @return array<string, mixed> */
    public function row(Row $row): array
    {
        $measures = $row->measures;

        return $this->option($row) + [
            'missing' => array_map(fn(string $fact): array => $this->missing($fact, []), $row->missing()),
            'measures' => [
                'control' =>
                    $measures->controlLow === null
                        ? null
                        : [
                            'low' => $measures->controlLow,
                            'use' => $measures->controlUse,
                            'high' => $measures->controlHigh,
                            'basis' => 'our-guess',
                        ],
                'harm' => $measures->harm,
                'minutes' => Format::quantity($measures->minutes),
                'hours' => Format::hours($measures->labour->total()),
                'weeks' =>
                    $measures->weeksHigh === null
                        ? null
                        : ['from' => $measures->weeksLow, 'to' => $measures->weeksHigh],
                'keepInjury' => $measures->keepInjury,
                'learned' => $this->learned->of($row->option, array_keys($measures->labour->restsOn)),
                'plan' => $this->plan($measures),
            ],
            'weighing' => $this->weighing($row->weighing),
            'findings' => array_map($this->finding(...), $row->findings),
        ];
    }

    /** @return array<string, mixed> all planned passes together (rulings J60) */
    private function plan(Criteria $measures): array
    {
        $together = $measures->passes->together($measures->controlUse, $measures->controlHigh);

        return [
            'passes' => $measures->passes->count,
            'hours' => Format::hours($measures->passes->hours($measures->labour->total())),
            'weeks' => $measures->weeksToEnd,
            'control' => $together === null ? null : ['from' => $together[0], 'atBest' => $together[1]],
        ];
    }

    /** @return array<string, mixed> what is judged, and how it stands */
    private function option(Row $row): array
    {
        $option = $row->option;

        return [
            'id' => $option->id(),
            'method' => [
                'id' => $option->method->id(),
                'name' => $this->sentences->name("method.{$option->method->id()}"),
                'family' => $option->method->family(),
            ],
            'active' =>
                $option->active === null
                    ? null
                    : [
                        'id' => $option->active->id(),
                        'name' => $this->sentences->called($option->activeNames()),
                        'group' => implode(
                            ' + ',
                            array_unique(array_map(static fn(Active $a): string => $a->group(), $option->actives())),
                        ),
                        'kind' => $this->kind($option),
                    ],
            'card' =>
                $option->card === null
                    ? null
                    : [
                        'versionId' => $option->card->id,
                        'product' => $option->card->product,
                        'confirmed' => $option->card->confirmed,
                    ],
            'typical' => $option->method->usesProduct() && $option->card === null,
            'outcome' => $row->outcome->value,
            'outcomeName' => $this->sentences->name("outcome.{$row->outcome->value}"),
            'opens' =>
                $row->opens === null
                    ? null
                    : ['date' => Format::day($row->opens), 'text' => $this->sentences->day($row->opens)],
        ];
    }

    /**
     * What stops short of the label: selective or not, systemic or not, through the soil or not, in words beside the
     * row (handbook 3).
     */
    private function kind(Option $option): string
    {
        $words = [];
        foreach ($option->actives() as $active) {
            $words[] = $this->sentences->name("selectivity.{$active->selectivity()}");
            $words[] = $this->sentences->name($active->isSystemic() ? 'active.systemic' : 'active.contact');
            $active->isSoilActive() && ($words[] = $this->sentences->name('active.through-soil'));
        }

        return implode(', ', array_unique($words));
    }

    /** @return array{total: string, shares: list<array<string, mixed>>} what the order comes from, figure by figure */
    private function weighing(Weighing $weighing): array
    {
        $short = static fn(BigRational $n): string => (string) $n
            ->toScale(1, RoundingMode::HALF_UP)
            ->stripTrailingZeros();

        return [
            'total' => $short($weighing->total()),
            'shares' => array_map(
                fn(array $s): array => [
                    'measure' => $s['measure'],
                    'weight' => $s['weight'],
                    'points' => $short($s['points']),
                    'figure' =>
                        $s['figure'] === null
                            ? null
                            : $this->sentences->in("weigh.{$s['measure']}", ['n' => $short($s['figure'])], System::Us),
                ],
                $weighing->shares(),
            ),
        ];
    }

    /** @return array<string, mixed> a finding's values, its missing fact in words */
    public function worded(Finding $finding): array
    {
        return ($finding->missing === null
            ? []
            : [
                'fact' => $this->sentences->in(
                    "fact.{$finding->missing}",
                    ['keeper' => $finding->values['keeper'] ?? ''],
                    System::Us,
                ),
            ]) + $finding->values;
    }

    /** @return array{us: string, metric: string} what a finding says */
    public function text(Finding $finding): array
    {
        return $this->sentences->sentence($finding->code, $this->worded($finding));
    }

    /** @return array<string, mixed> */
    public function finding(Finding $finding): array
    {
        $values = $this->worded($finding);
        $changeValues = $values + [
            'station' => $this->sentences->name('station.' . $this->stationOf($finding->missing ?? '')),
        ];

        return [
            'code' => $finding->code,
            'outcome' => $finding->outcome->value,
            'text' => $this->sentences->sentence($finding->code, $values),
            'values' => Format::values($finding->values),
            'source' => ['code' => $finding->source, 'name' => $this->sentences->source($finding->source)],
            'change' =>
                $finding->change === null || ($finding->change === 'change.wait-till' && $finding->opens === null)
                    ? null
                    : [
                        'code' => $finding->change,
                        'text' => $this->sentences->both(
                            $finding->change,
                            $changeValues + ['opens' => $finding->opens ?? ''],
                        ),
                    ],
            'opens' => Format::day($finding->opens),
            'missing' => $finding->missing === null ? null : $this->missing($finding->missing, $finding->values),
            'restsOn' => $finding->restsOn?->value,
            'school' =>
                $finding->school === null
                    ? null
                    : [
                        'id' => $finding->school,
                        'name' => $this->sentences->name("school.{$finding->school}"),
                        'otherwise' => array_map(
                            fn(string $choice, Outcome $outcome): array => [
                                'choice' => $choice,
                                'name' => $this->sentences->name("choice.{$finding->school}.{$choice}"),
                                'outcome' => $outcome->value,
                                'outcomeName' => $this->sentences->name("outcome.{$outcome->value}"),
                            ],
                            array_keys($finding->otherwise),
                            array_values($finding->otherwise),
                        ),
                    ],
        ];
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return array{fact: string, name: string, station: string}
     */
    private function missing(string $fact, array $values): array
    {
        $keeper = is_string($values['keeper'] ?? null) ? $values['keeper'] : 'it';

        return [
            'fact' => $fact,
            'name' => $this->sentences->in("fact.{$fact}", ['keeper' => $keeper], System::Us),
            'station' => $this->stationOf($fact),
        ];
    }

    private function stationOf(string $fact): string
    {
        return self::STATIONS[$fact] ??
            match (true) {
                // what a label says is answered in the Shed, what is kept on the Ground
                str_starts_with($fact, 'card-') => 'shed',
                str_starts_with($fact, 'keeper-') => 'ground',
                default => 'scout',
            };
    }
}
