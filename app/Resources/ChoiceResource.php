<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Assess\CostCurve;
use Thicket\Assess\SideBySide;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Shown;
use Thicket\Situation\Option;
use Thicket\Situation\Prices;
use Thicket\Verdict\Finding;

/** What a choice turns on: ways side by side, and what waiting and thickening cost. */
final readonly class ChoiceResource
{
    public function __construct(
        private Sentences $sentences,
        private Catalogue $catalogue,
        private BoardResource $board,
    ) {}

    /**
     * @param list<SideBySide> $columns
     *
     * @return array<string, mixed>
     */
    public function comparison(array $columns): array
    {
        return ['columns' => array_map($this->column(...), $columns)];
    }

    /** @return array<string, mixed> */
    private function column(SideBySide $side): array
    {
        $row = $side->row;
        $labour = $row->measures->labour;

        return [
            'row' => $this->board->row($row),
            'passes' => $side->passes,
            'judgeAfter' =>
                $side->judgeAfter === null
                    ? null
                    : ['date' => Format::day($side->judgeAfter), 'text' => $this->sentences->day($side->judgeAfter)],
            'hours' => Format::range($labour->range()),
            'walkingKnown' => $labour->walking !== null,
            'mix' =>
                $side->recipe === null
                    ? null
                    : [
                        'need' => Format::quantity($side->recipe->need),
                        'product' => Format::quantity($side->recipe->product()),
                        'missing' => array_map(
                            fn(string $fact): string => $this->sentences->name("fact.{$fact}"),
                            $side->recipe->missing,
                        ),
                    ],
            'money' => $this->money($row->measures->money),
            'harmNotes' => array_map(
                fn(Finding $f): array => $this->sentences->sentence($f->code, $this->board->worded($f)),
                $side->harms,
            ),
            'keepInjury' => [
                'step' => $row->measures->keepInjury,
                'name' => $this->sentences->name("injury.{$row->measures->keepInjury}"),
            ],
            'others' => array_map(
                fn(string $species, ?string $effect): array => [
                    'species' => $species,
                    'name' => $this->sentences->called($this->catalogue->species($species)->commonName()),
                    'effect' => $effect ?? 'unknown',
                    'effectName' => $this->sentences->name('effect.' . ($effect ?? 'unknown')),
                ],
                array_keys($side->others),
                array_values($side->others),
            ),
            'grazingDays' => $side->grazingDays,
            'grazingLost' => [
                'kind' => $side->grazingLost->kind,
                'from' => $side->grazingLost->from,
                'to' => $side->grazingLost->to,
            ],
        ];
    }

    /** Name of what has a price: the hour, a material, or an active. */
    private function priced(string $what): string
    {
        return match (true) {
            $what === 'wage' => $this->sentences->name('price.wage'),
            in_array($what, Prices::MATERIALS, true) => $this->sentences->name("material.{$what}"),
            default => $this->sentences->called($this->catalogue->active($what)->name()),
        };
    }

    /** @return array<string, mixed>|null */
    private function money(?\Thicket\Economics\Money $money): ?array
    {
        return $money === null
            ? null
            : [
                'currency' => $money->currency,
                'total' => Format::money($money->total()),
                'wages' => Format::money($money->wages),
                'product' => Format::money($money->product),
                'perHectare' => Format::money($money->perHectare),
                'stale' => array_map($this->priced(...), $money->stale),
                'without' => array_map($this->priced(...), $money->without),
            ];
    }

    /** @return array<string, mixed> figures of charts are hours as plain decimals beside their shown text */
    public function costs(Option $option, ?CostCurve $curve): array
    {
        $head = [
            'rowId' => $option->id(),
            'method' => [
                'id' => $option->method->id(),
                'name' => $this->sentences->name("method.{$option->method->id()}"),
            ],
            'active' => $option->active?->name(),
            'currency' => $option->shed->prices?->currency,
        ];
        if ($curve === null) {
            return $head + ['density' => [], 'clumps' => [], 'waiting' => []];
        }
        $plain = static fn(?BigRational $n, int $scale = 2): ?string => $n === null
            ? null
            : (string) $n->toScale($scale, RoundingMode::HALF_UP)->stripTrailingZeros();

        return $head + [
            'density' => array_map(
                static fn(array $d): array => [
                    'factor' => Shown::number($d['factor'], 3),
                    'stems' => $d['stems'],
                    'perHectare' => $plain($d['perHectare'], 0),
                    'hours' => Format::range($d['hours']),
                    'money' => Format::money($d['money']),
                ],
                $curve->density,
            ),
            'clumps' => array_map(
                static fn(array $c): array => [
                    'stemsPerClump' => $c['stemsPerClump'],
                    'stems' => $c['stems'],
                    'hours' => Format::range($c['hours']),
                    'money' => Format::money($c['money']),
                ],
                $curve->clumps,
            ),
            'waiting' => array_map(
                fn(array $w): array => [
                    'years' => $w['years'],
                    'stems' => $w['stems'],
                    'hours' => Format::range($w['hours']),
                    'money' => Format::money($w['money']),
                    'outcome' => $w['row']->outcome->value,
                    'outcomeName' => $this->sentences->name("outcome.{$w['row']->outcome->value}"),
                    'why' => isset($w['row']->findings[0])
                        ? $this->sentences->sentence(
                            $w['row']->findings[0]->code,
                            $this->board->worded($w['row']->findings[0]),
                        )
                        : null,
                ],
                $curve->waiting,
            ),
        ];
    }
}
