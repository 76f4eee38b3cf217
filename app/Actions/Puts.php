<?php

declare(strict_types=1);

namespace App\Actions;

use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Mix\LimitCheck;

/**
 * What an amount of product puts on ground, active by active, as sheets and records keep it for the ceilings of later
 * work (rulings J7).
 */
final readonly class Puts
{
    /**
     * @return list<array{active: string, value: string, unit: string}> where the card names no basis the product itself
     * is kept
     */
    public function of(LabelCard $card, Quantity $product, Quantity $area): array
    {
        $out = [];
        foreach ($area->amount->isPositive() ? array_column($card->contents->actives, 'active') : [] as $active) {
            $load =
                LimitCheck::activePerArea($card, $active, $product, $area) ??
                LimitCheck::productPerArea($product, $area);
            ['value' => $value, 'unit' => $unit] = $load->toWire();
            $out[] = ['active' => $active, 'value' => $value, 'unit' => $unit];
        }

        return $out;
    }
}
