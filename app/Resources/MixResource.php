<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SumTable;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Mix\Layer;
use Thicket\Mix\MeasuringKit;
use Thicket\Mix\Purchase;
use Thicket\Mix\SolvedSum;
use Thicket\Mix\TankCorrection;

/** The bench of sums: what each asks, what followed, what contradicts. */
final readonly class MixResource
{
    public function __construct(
        private Sentences $sentences,
        private Catalogue $catalogue,
        private RecipeResource $recipes,
    ) {}

    /** @return list<array<string, mixed>> */
    public function sums(): array
    {
        return array_map(
            fn(SumTable $sum): array => [
                'id' => $sum->id(),
                'name' => $this->sentences->name("sum.{$sum->id()}"),
                'help' => $this->sentences->name("sum.help.{$sum->id()}"),
                'fields' => array_map(
                    fn(string $f): array => [
                        'id' => $f,
                        'name' => $this->sentences->name("sum.field.{$f}"),
                        'kinds' => array_map(static fn(Dimension $d): string => $d->value, $sum->kinds($f)),
                        'derived' => $sum->isDerived($f),
                        'sample' => $this->sentences->name(
                            'sum.sample.' .
                                ($sum->isLayer($f)
                                    ? 'layer'
                                    : ($sum->isWeight($f)
                                        ? 'weighs'
                                        : $sum->kinds($f)[0]->value)),
                        ),
                    ],
                    $sum->fields(),
                ),
                'ways' => array_map(
                    fn(array $w): array => ['known' => $w['known'], 'gives' => $w['gives']],
                    $sum->ways(),
                ),
            ],
            $this->catalogue->sums(),
        );
    }

    /** @return array<string, mixed> */
    public function solved(SolvedSum $solved, MeasuringKit $kit = new MeasuringKit()): array
    {
        $table = $solved->table;
        $values = [];
        foreach ($table->fields() as $field) {
            $value = $solved->value($field);
            if ($value !== null) {
                $values[] = [
                    'field' => $field,
                    'name' => $this->sentences->name("sum.field.{$field}"),
                    'given' => isset($solved->given[$field]),
                    'value' => Format::quantity(self::told($table, $field, $value)),
                ];
            }
        }
        $share = $solved->value('strength') ?? ($solved->value('strengthNow') ?? $solved->value('other'));
        $strength =
            $share?->dimension() === Dimension::ProductShare && $solved->isSound()
                ? Strength::ofQuantity($share)
                : null;
        $content = $solved->value('strengthOfOther');

        return [
            'sum' => $table->id(),
            'state' => $solved->state(),
            'values' => $values,
            'unchecked' => array_map(
                fn(string $limit): array => $this->sentences->both('sum.unchecked', [
                    'limit' => $this->fieldName($limit),
                ]),
                $solved->unchecked,
            ),
            'faults' => array_map(fn(array $one): array => $this->fault($table, $one), $solved->faults),
            'warnings' => $solved->isSound()
                ? array_map(fn(array $one): array => $this->fault($table, $one), $solved->warnings)
                : [],
            'next' => array_map(
                fn(array $n): array => ['missing' => $this->names($n['missing']), 'gives' => $this->names($n['gives'])],
                array_slice($solved->next(), 0, 4),
            ),
            'ways' => $this->recipes->ways($strength, $table->id() === 'match-active' ? $content : null),
            'nominal' =>
                $table->id() === 'match-active' &&
                $solved->value('strengthOfUsed')?->dimension() === Dimension::MassShare,
            'correction' => $this->correction($solved),
            'tool' => $this->tool($solved, $kit),
        ];
    }

    /** @return array<string, mixed> */
    public function purchase(Purchase $purchase): array
    {
        return [
            'bought' => array_map(
                static fn(array $b): array => [
                    'count' => $b['count'],
                    'size' => Format::quantity($b['size']),
                    'sold' => Format::asSold($b['size']),
                    'price' => Format::money($b['price']),
                ],
                $purchase->bought,
            ),
            'cost' => Format::money($purchase->cost),
            'short' => Format::quantity($purchase->short),
            'left' => Format::quantity($purchase->left),
            'proven' => $purchase->proven,
        ];
    }

    /**
     * @param array{code: string, field: string, typed: Quantity, follows: Quantity|null, from: list<string>} $fault
     *
     * @return array<string, mixed>
     */
    private function fault(SumTable $table, array $fault): array
    {
        $values =
            [
                'field' => $this->fieldName($fault['field']),
                'typed' => self::told($table, $fault['field'], $fault['typed']),
                'from' => implode(', ', $this->names($fault['from'])),
            ] +
            ($fault['follows'] === null ? [] : ['follows' => self::told($table, $fault['field'], $fault['follows'])]);

        return [
            'code' => $fault['code'],
            'field' => $fault['field'],
            'text' => $this->sentences->both("sum.fault.{$fault['code']}", $values),
        ];
    }

    private static function told(SumTable $table, string $field, Quantity $value): Quantity
    {
        return $table->isLayer($field) && $value->dimension() === Dimension::VolumePerArea
            ? Layer::depth($value)
            : $value;
    }

    /** @return array<string, mixed>|null what brings the tank to the target, where one is given */
    private function correction(SolvedSum $solved): ?array
    {
        [$in, $now, $target] = [$solved->value('inTank'), $solved->value('strengthNow'), $solved->value('target')];
        if (
            $in === null ||
            $now === null ||
            $target === null ||
            $now->dimension() !== Dimension::ProductShare ||
            $target->dimension() !== Dimension::ProductShare ||
            !$solved->isSound()
        ) {
            return null;
        }
        $correction = TankCorrection::of(
            $in,
            Strength::ofQuantity($now),
            Strength::ofQuantity($target),
            $solved->value('tank'),
        );
        $add = $correction->product ?? $correction->carrier;

        return [
            'state' => $correction->state,
            'add' => Format::quantity($add),
            'takeOut' => Format::quantity($correction->takeOut),
            'afterwards' => Format::quantity($correction->afterwards),
            'fits' => $correction->fits,
            'text' => $this->sentences->both(
                "sum.correction.{$correction->state}" . ($correction->fits === false ? '-no-room' : ''),
                ($add === null ? [] : ['add' => $add]) +
                    ($correction->takeOut === null ? [] : ['out' => $correction->takeOut]) + [
                        'after' => $correction->afterwards,
                    ],
            ),
        ];
    }

    /**
     * @return array<string, mixed>|null the crew's tool that reads the amount best
     */
    private function tool(SolvedSum $solved, MeasuringKit $kit): ?array
    {
        $amount = $solved->toMeasure();
        if ($amount === null || !$solved->isSound()) {
            return null;
        }
        $most = $solved->mostToMeasure();
        $tool = $kit->bestOwn($amount, $most);
        if ($tool === null) {
            return null;
        }
        if (!$tool->reads($amount, $most)) {
            return [
                'name' => null,
                'fillings' => 0,
                'measured' => null,
                'text' => $this->sentences->both('sum.tool-too-coarse', ['amount' => $amount]),
                'short' => false,
            ];
        }
        $read = $tool->measure($amount, $most);
        $marks = Shown::withUnit($read['measured']->to($tool->graduation->unit)->amount, $tool->graduation->unit);

        return [
            'name' => $tool->name,
            'fillings' => $read['fillings'],
            'measured' => Format::quantity($read['measured']),
            'text' => $this->sentences->both('sum.measure', [
                'tool' => $tool->name,
                'measured' => $marks,
                'fillings' => $read['fillings'],
            ]),
            'short' => $solved->isShort($read['measured']),
        ];
    }

    /**
     * @param list<string> $fields
     *
     * @return list<string>
     */
    private function names(array $fields): array
    {
        return array_map($this->fieldName(...), $fields);
    }

    private function fieldName(string $field): string
    {
        return $field === 'all'
            ? $this->sentences->name('sum.field.all')
            : $this->sentences->name("sum.field.{$field}");
    }
}
