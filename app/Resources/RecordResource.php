<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Amendment;
use App\Models\LookBack;
use App\Models\Record;
use App\Repositories\PlotSpots;
use App\Seal\Verifier;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Measure\Quantity;
use Thicket\Survey\RootKill;

final readonly class RecordResource
{
    public function __construct(
        private JobClock $clock,
        private Verifier $verifier,
        private ResultResource $results,
        private PlotSpots $spots,
        private Sentences $sentences,
    ) {}

    /** @return array<string, mixed> */
    public function record(Record $record): array
    {
        return [
            'id' => $record->id,
            'seq' => $record->seq,
            'sheetId' => $record->sheet_id,
            // sheets of before did not keep it
            'expected' => $record->sheet->snapshot['reason']['expected'] ?? null,
            'stemsCounted' => $record->sheet->snapshot['target']['stems'] ?? null,
            'method' => $record->sheet->told($this->sentences->locale())['method']['name'] ?? null,
            'workedOn' => Format::day($record->worked_on),
            'judgeAfter' => Format::day($record->judge_after),
            'mayScore' =>
                $record->judge_after->format('Y-m-d') <=
                $this->clock->today($record->patch->ground->time_zone)->format('Y-m-d'),
            'signedAt' => Format::moment($record->signed_at, $record->patch->ground->time_zone),
            'seal' => [
                'state' => $this->verifier->record($record),
                'seq' => $record->seal?->seq,
                'hash' => $record->seal?->hash,
                'at' =>
                    $record->seal === null
                        ? null
                        : Format::moment(new \DateTimeImmutable($record->seal->sealed_at, new \DateTimeZone('UTC'))),
            ],
            'amounts' => self::amounts($record->content() ?? []),
            // a body that cannot be read is shown as broken, not guessed at
            'body' => (object) ($record->content() ?? []),
            'standing' => self::standing($record),
            'signs' => $this->results->signs($record),
            'causes' => $this->results->causes($record),
            'retreat' => $this->results->retreat($record),
            'gap' => $this->results->gap($record),
            'plots' => $this->spots->of($record),
            'amendments' => $record->amendments
                ->map(
                    static fn(Amendment $a): array => [
                        'id' => $a->id,
                        'field' => $a->field,
                        'text' => $a->text,
                        'why' => $a->why,
                        'by' => $a->author->name,
                        'at' => Format::moment($a->created_at, $record->patch->ground->time_zone),
                    ],
                )
                ->values()
                ->all(),
            'lookBacks' => $record->lookBacks
                ->map(
                    fn(LookBack $l): array => [
                        'id' => $l->id,
                        'lookedOn' => $l->looked_on->format('Y-m-d'),
                        'scored' => $l->scored,
                        'deadPercent' => RootKill::percent($l->body['dead'], $l->body['counted']),
                        'result' => $l->scored ? $this->results->of($record, $l) : null,
                    ] + $l->body,
                )
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed>|null trees that it left dying on their feet */
    private static function standing(Record $record): ?array
    {
        $trees = $record->standing;

        return $trees === null
            ? null
            : [
                'id' => $trees->id,
                'count' => $trees->count,
                'reach' => $trees->reach,
                'snags' => $trees->snags,
                'since' => Format::day($trees->since),
                'lookedOn' => Format::day($trees->looked_on),
                'lookedBy' => $trees->looker?->name,
                'lookBy' => Format::day($trees->lookBy()),
                'downOn' => Format::day($trees->down_on),
            ];
    }

    /**
     * What was planned and what was used, the mix first, then each product.
     *
     * @param array<string, mixed> $body
     *
     * @return list<array{product: string|null, planned: array<string, mixed>|null, used: array<string, mixed>|null}>
     */
    private static function amounts(array $body): array
    {
        $told = static fn(mixed $wire): ?array => Format::accounted(Quantity::ofWire($wire));
        $planned = is_array($body['planned'] ?? null) ? $body['planned'] : [];
        if (!isset($body['mixUsed'])) {
            return [];
        }
        $rows = [['product' => null, 'planned' => $told($planned['mix'] ?? null), 'used' => $told($body['mixUsed'])]];
        // records of before name one product by its amount alone
        $products = $body['productsUsed'] ?? [['product' => '', 'used' => $body['productUsed'] ?? null]];
        foreach (is_array($products) ? array_values($products) : [] as $n => $one) {
            $rows[] = [
                'product' => (string) ($one['product'] ?? ''),
                'planned' => $n === 0 ? $told($planned['product'] ?? null) : null,
                'used' => $told($one['used'] ?? null),
            ];
        }

        return $rows;
    }
}
