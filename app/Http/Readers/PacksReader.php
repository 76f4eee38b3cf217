<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Thicket\Input\Fields;

use Thicket\Measure\Dimension;

/** Sizes that a product is sold in, each with its price and the day of the price. */
final readonly class PacksReader
{
    /** @return list<array{size: string, price: string, on: string|null}> */
    public function read(Fields $in, \DateTimeImmutable $today): array
    {
        $packs = [];
        foreach ($in->objects('packs', 8) as $item) {
            $size = $item->reading('size', null)?->quantity;
            if (
                $size !== null &&
                (!in_array($size->dimension(), [Dimension::Volume, Dimension::Mass], true) ||
                    !$size->amount->isPositive())
            ) {
                $item->fault(
                    'size',
                    'Give a volume such as 2.5 gal or 5 L, or a weight of a dry product such as 8 oz wt.',
                );
            }
            $price = $item->decimal('price', '0', '1000000');
            $on = $item->pastDayOrNull('on', $today);
            $item->noOthers();
            if ($size !== null && $price !== null) {
                $packs[] = [
                    'size' => $size->asText(),
                    'price' => $price,
                    'on' => $on?->format('Y-m-d'),
                ];
            }
        }

        return $packs;
    }
}
