<?php

declare(strict_types=1);

namespace App\Print;

use App\Models\Crew;
use App\Models\Record;
use App\Seal\Verifier;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\RecordTable;
use App\Text\Sentences;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\View;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Unit;
use Thicket\Review\ProductUse;

/** The records of a year as an inspector asks for them (rulings J29): each with all that was told, and the sums. */
final readonly class SeasonPdf
{
    /** Told in the heading of a record, or as the unit of the line before. */
    private const HEAD = ['record', 'day', 'ground', 'patch'];
    /** Lines whose value is one of a closed set, with the kind of its name. */
    private const CODES = ['droplets' => 'drops', 'restricted use' => 'word', 'incident' => 'word'];

    public function __construct(
        private RecordTable $table,
        private Verifier $verifier,
        private JobClock $clock,
        private Sentences $sentences,
    ) {}

    /** @param Collection<int, Record> $records in order */
    public function html(Collection $records, Crew $crew, int $year, string $units): string
    {
        $told = $broken = [];
        foreach ($records as $record) {
            $row = $this->table->row($record);
            $told[] = [
                'number' => $record->seq,
                'title' => "{$row['day']}, {$row['patch']}, {$row['ground']}",
                'lines' => $this->lines($row),
            ];
            $this->verifier->record($record) === 'whole' || ($broken[] = $record->seq);
        }

        return View::file(resource_path('season.blade.php'), [
            'crew' => $crew->name,
            'year' => $year,
            'day' => $this->clock->today($crew->timeZone())->format('Y-m-d'),
            'records' => $told,
            'broken' => $broken,
            'used' => self::used($records, $units),
            'style' => Paper::report(),
        ])->render();
    }

    /**
     * @param array<string, string> $row as the table has it
     *
     * @return array<string, string> what was told, each figure with its unit
     */
    private function lines(array $row): array
    {
        $lines = [];
        foreach ($row as $name => $value) {
            if ($value !== '' && !in_array($name, self::HEAD, true) && !str_ends_with($name, ' unit')) {
                $unit = $row["{$name} unit"] ?? ($row[preg_replace('/ used$/', '', $name) . ' unit'] ?? '');
                $kind = self::CODES[$name] ?? null;
                $lines[$name] =
                    $kind === null
                        ? self::readable(trim("{$value} {$unit}"))
                        : $this->sentences->name("{$kind}.{$value}");
            }
        }

        return $lines;
    }

    /** Amounts as people write them: the table has the codes of units. */
    private static function readable(string $text): string
    {
        return (string) preg_replace_callback(
            '/(-?\d+(?:\.\d+)?) (\S+?)(?=$|;)/',
            static function (array $m): string {
                $unit = Unit::tryFrom($m[2]);

                return $unit === null ? $m[0] : Shown::withUnit(BigRational::of($m[1]), $unit);
            },
            $text,
        );
    }

    /**
     * @param Collection<int, Record> $records
     *
     * @return list<array{product: string, amount: string, records: list<int>}>
     */
    private static function used(Collection $records, string $units): array
    {
        $uses = [];
        foreach ($records as $record) {
            $products = $record->content()['productsUsed'] ?? [];
            foreach (is_array($products) ? $products : [] as $one) {
                $used = Quantity::ofWire(is_array($one) ? $one['used'] ?? null : null);
                $product = is_array($one) ? $one['product'] ?? null : null;
                if ($used !== null && is_string($product)) {
                    $uses[] = ['record' => $record->seq, 'product' => $product, 'used' => $used];
                }
            }
        }

        return array_map(
            static fn(ProductUse $one): array => [
                'product' => $one->product,
                'amount' => Format::quantity($one->sum)['shown'][$units] ?? '',
                'records' => $one->records,
            ],
            ProductUse::sums($uses),
        );
    }
}
