<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Amendment;
use App\Models\Crew;
use App\Models\Record;
use App\Repositories\SituationRepository;
use App\Text\Sentences;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Collection;
use Thicket\Catalogue\Catalogue;
use Thicket\FieldDay\RecordFields;
use Thicket\FieldDay\WorkTime;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Review\Job;
use Thicket\Review\Retreat;
use Thicket\Situation\Prices;

/** What signed records give to the accounts, at the prices that the crew keeps today. */
final readonly class AccountDesk
{
    public function __construct(
        private SituationRepository $situations,
        private Catalogue $catalogue,
        private Sentences $sentences,
    ) {}

    /**
     * @param Collection<int, Record> $records in order
     *
     * @return list<Job>
     */
    public function jobs(Crew $crew, Collection $records): array
    {
        $records->loadMissing('sheet.fieldNotes');
        $prices = $this->situations->prices($crew);

        return array_values($records->map(fn(Record $record): Job => $this->job($record, $prices))->all());
    }

    private function job(Record $record, ?Prices $prices): Job
    {
        $body = $record->content() ?? [];
        $snapshot = $record->sheet->told($this->sentences->locale());
        $people = is_array($body['people'] ?? null) ? count($body['people']) : 0;
        $clock = static fn(string $name): string => is_string($body[$name] ?? null) ? $body[$name] : '';
        $minutes = WorkTime::minutes($record->sheet->fieldLog(), $people, $clock('start'), $clock('stop'));
        $treated = is_int($body['treated'] ?? null) ? $body['treated'] : 0;
        $scored = $record->scored();
        $hectares = self::hectares($snapshot);

        return new Job(
            $record->seq,
            $record->worked_on->format('Y'),
            "{$record->patch->name}, {$record->patch->ground->name}",
            is_string($snapshot['method']['name'] ?? null) ? $snapshot['method']['name'] : '',
            $minutes,
            self::money($body, $snapshot, $minutes, $prices),
            $treated,
            $hectares,
            $scored === null
                ? null
                : $treated * (1 - Retreat::alive((int) $scored->body['dead'], (int) $scored->body['counted'])),
            $this->kilograms($body, $hectares),
            $record->released(),
            $record->amendments->contains(
                static fn(Amendment $a): bool => in_array($a->field, RecordFields::TAUGHT_BY, true),
            ),
        );
    }

    /** @param array<string, mixed> $snapshot */
    private static function hectares(array $snapshot): ?BigRational
    {
        $area =
            Quantity::ofWire($snapshot['recipe']['working']['area'] ?? null) ??
            Quantity::ofWire($snapshot['place']['area'] ?? null);

        return $area === null || $area->isZero() ? null : $area->in(Unit::Hectare);
    }

    /**
     * Wages, and product at its price where some was used; null where one of them is not known.
     *
     * @param array<string, mixed> $body
     * @param array<string, mixed> $snapshot
     */
    private static function money(array $body, array $snapshot, ?int $minutes, ?Prices $prices): ?BigRational
    {
        $actives = array_column(
            array_filter([$snapshot['product'] ?? null, ...(array) ($snapshot['partners'] ?? [])], is_array(...)),
            'active',
            'name',
        );
        $products = [];
        foreach (is_array($body['productsUsed'] ?? null) ? $body['productsUsed'] : [] as $one) {
            $active = $actives[$one['product'] ?? ''] ?? null;
            $products[] = [
                'active' => is_string($active) ? $active : null,
                'used' => Quantity::ofWire($one['used'] ?? null),
            ];
        }

        return Job::costs($minutes, $products, $prices);
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, BigRational> by name and basis (a.e., a.i.)
     */
    private function kilograms(array $body, ?BigRational $hectares): array
    {
        $out = [];
        if ($hectares === null) {
            return $out;
        }
        foreach (is_array($body['activesPerArea'] ?? null) ? $body['activesPerArea'] : [] as $one) {
            $load = Quantity::ofWire($one);
            $put = $load === null ? null : Job::putOut($load, $hectares);
            $active = $one['active'] ?? '';
            if ($put === null || !is_string($active)) {
                continue;
            }
            $name = $this->catalogue->hasActive($active)
                ? $this->sentences->called($this->catalogue->active($active)->name())
                : $active;
            $key = "{$name} ({$put['basis']})";
            $out[$key] = ($out[$key] ?? BigRational::zero())->plus($put['kilograms']);
        }

        return $out;
    }
}
