<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Measure\Quantity;

/** What was put out of one product over many records; what is weighed and what is poured are not one sum. */
final readonly class ProductUse
{
    /** @param non-empty-list<int> $records numbers of those that put it out */
    private function __construct(public string $product, public Quantity $sum, public array $records) {}

    /**
     * @param list<array{record: int, product: string, used: Quantity}> $uses
     *
     * @return list<self> by product
     */
    public static function sums(array $uses): array
    {
        $sums = [];
        foreach ($uses as ['record' => $record, 'product' => $product, 'used' => $used]) {
            $key = "{$product} {$used->dimension()->name}";
            $before = $sums[$key] ?? null;
            $sums[$key] = new self(
                $product,
                $before?->sum->plus($used) ?? $used,
                array_values(array_unique([...$before->records ?? [], $record])),
            );
        }
        ksort($sums, SORT_STRING);

        return array_values($sums);
    }
}
