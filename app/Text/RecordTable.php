<?php

declare(strict_types=1);

namespace App\Text;

use App\Models\Amendment;
use App\Models\Record;
use Illuminate\Support\Collection;
use Thicket\Survey\Exchange\CsvFile;

/**
 * Signed records as an inspector asks for them (rulings J29): one row a record, amounts in their own unit with the unit
 * in a column of its own, days as ISO. What was put right later stands in a column of its own; what was signed stays.
 */
final readonly class RecordTable
{
    private const COLUMNS = [
        'record',
        'sheet',
        'day',
        'start',
        'stop',
        'ground',
        'patch',
        'latitude',
        'longitude',
        'area',
        'area unit',
        'target',
        'scientific name',
        'method',
        'products',
        'registration numbers',
        'label versions',
        'actives',
        'restricted use',
        'mix used',
        'mix unit',
        'product used',
        'product unit',
        'active per area',
        'carrier',
        'treated',
        'left on purpose',
        'equipment',
        'owner',
        'supervisor',
        'mixers and handlers',
        'nozzle',
        'pressure',
        'pressure unit',
        'release height',
        'release height unit',
        'droplets',
        'weather measured with',
        'permits and checks',
        'notices given',
        'leftovers',
        'containers',
        'sky',
        'wind',
        'wind unit',
        'temperature',
        'temperature unit',
        'outside limits',
        'people',
        'signed by',
        'licence',
        'batches',
        'buffer asked by the label',
        'buffers kept',
        're-entry hours',
        'incident',
        'remarks',
        'put right',
        'seal',
    ];

    /** @param Collection<int, Record> $records */
    public function of(Collection $records): string
    {
        $rows = [self::COLUMNS];
        foreach ($records as $record) {
            $row = $this->row($record);
            $rows[] = array_map(static fn(string $column): string => $row[$column] ?? '', self::COLUMNS);
        }

        return CsvFile::written($rows);
    }

    /** @return array<string, string> column => value */
    public function row(Record $record): array
    {
        $body = $record->content() ?? [];
        $at = static function (string $path) use ($body): mixed {
            $value = $body;
            foreach (explode('.', $path) as $key) {
                $value = is_array($value) ? $value[$key] ?? null : null;
            }

            return $value;
        };
        $text = static fn(string $path): string => is_scalar($at($path)) ? (string) $at($path) : '';
        $list = static fn(string $path, string $key): string => implode(
            '; ',
            array_filter(
                array_map(
                    static fn(mixed $one): string => is_array($one) && is_scalar($one[$key] ?? null)
                        ? (string) $one[$key]
                        : '',
                    is_array($at($path)) ? $at($path) : [],
                ),
            ),
        );
        $products = array_filter([$at('sheet.snapshot.product'), ...(array) ($at('sheet.snapshot.partners') ?? [])]);
        $of = static fn(string $key): string => implode(
            '; ',
            array_map(
                static fn(mixed $p): string => is_array($p) && is_scalar($p[$key] ?? null) ? (string) $p[$key] : '',
                $products,
            ),
        );

        return [
            'record' => (string) $record->seq,
            'sheet' => $text('sheet.number'),
            'day' => $record->worked_on->format('Y-m-d'),
            'start' => $text('start'),
            'stop' => $text('stop'),
            'ground' => $text('sheet.snapshot.place.ground'),
            'patch' => $text('sheet.snapshot.place.patch'),
            'latitude' => $text('sheet.snapshot.place.latitude'),
            'longitude' => $text('sheet.snapshot.place.longitude'),
            'area' => $text('sheet.snapshot.place.area.value'),
            'area unit' => $text('sheet.snapshot.place.area.unit'),
            'target' => $text('sheet.snapshot.target.name'),
            'scientific name' => $text('sheet.snapshot.target.scientific'),
            'method' => $text('sheet.snapshot.method.name'),
            'products' => $of('name'),
            'registration numbers' => $of('registration'),
            'label versions' => $of('version'),
            'actives' => $of('activeName'),
            'restricted use' => $products === [] ? '' : ($at('sheet.snapshot.strictest.licensedOnly') ? 'yes' : 'no'),
            'mix used' => $text('mixUsed.value'),
            'mix unit' => $text('mixUsed.unit'),
            'product used' => $text('productUsed.value'),
            'product unit' => $text('productUsed.unit'),
            'active per area' => implode(
                '; ',
                array_map(
                    static fn(mixed $one): string => is_array($one)
                        ? implode(
                            ' ',
                            array_filter(
                                array_map(static fn(string $key): mixed => $one[$key] ?? null, [
                                    'active',
                                    'value',
                                    'unit',
                                ]),
                                is_string(...),
                            ),
                        )
                        : '',
                    is_array($at('activesPerArea')) ? $at('activesPerArea') : [],
                ),
            ),
            'carrier' => $text('sheet.snapshot.recipe.carrier.name'),
            'treated' => $text('treated'),
            'left on purpose' => $text('skipped'),
            'equipment' => $text('equipment'),
            'owner' => $text('owner'),
            'supervisor' => $text('supervisor'),
            'mixers and handlers' => $text('mixers'),
            'nozzle' => $text('nozzle'),
            'pressure' => $text('pressure.value'),
            'pressure unit' => $text('pressure.unit'),
            'release height' => $text('height.value'),
            'release height unit' => $text('height.unit'),
            'droplets' => $text('droplets'),
            'weather measured with' => $text('instrument'),
            'permits and checks' => $text('permits') ?: self::settled($at('sheet.snapshot.duties'), true),
            'notices given' => $text('notices') ?: self::settled($at('sheet.snapshot.duties'), false),
            'leftovers' => $text('leftovers'),
            'containers' => $text('containers'),
            'sky' => $text('weather'),
            'wind' => $text('wind.value'),
            'wind unit' => $text('wind.unit'),
            'temperature' => $text('temperature.value'),
            'temperature unit' => $text('temperature.unit'),
            'outside limits' => implode('; ', array_filter((array) $at('outsideLimits'), is_string(...))),
            'people' => implode('; ', array_filter((array) $at('people'), is_string(...))),
            'signed by' => $text('signedBy'),
            'licence' => $text('licence'),
            'batches' => $list('batches', 'number'),
            'buffer asked by the label' => trim(
                $text('sheet.snapshot.strictest.waterBuffer.value') .
                    ' ' .
                    $text('sheet.snapshot.strictest.waterBuffer.unit'),
            ),
            'buffers kept' => $text('buffers'),
            're-entry hours' => $text('sheet.snapshot.strictest.reentryHours'),
            'incident' => $at('incident') === true ? 'yes' : 'no',
            'remarks' => $text('remarks'),
            'put right' => implode(
                '; ',
                $record->amendments
                    ->map(static fn(Amendment $a): string => "{$a->field}: {$a->text} ({$a->why})")
                    ->all(),
            ),
            'seal' => (string) $record->seal?->hash,
        ];
    }

    /** What the sheet says was settled with others, where the record says nothing of its own. */
    private static function settled(mixed $duties, bool $papers): string
    {
        $out = [];
        foreach (is_array($duties) ? $duties : [] as $one) {
            $settled = is_array($one) ? $one['settled'] ?? null : null;
            if (is_array($settled) && ($one['paper'] ?? null) === $papers) {
                $words = [$one['name'] ?? '', $one['keeper'] ?? '', $settled['number'] ?? '', $settled['who'] ?? ''];
                $out[] = implode(', ', array_filter([...$words, $settled['on'] ?? '']));
            }
        }

        return implode('; ', $out);
    }
}
