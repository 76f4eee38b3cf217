<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** How far drops are carried, typical, ours; a card's larger figure wins (rulings J46). */
final class SprayReach
{
    private const FEET = ['touch' => '1.5', 'low' => '3', 'coarse' => '10', 'fine' => '26', 'boom' => '100'];
    private const TALL_FEET = 3;

    private function __construct() {}

    public static function of(Situation $situation, Option $option): Quantity
    {
        $height = $situation->quantity(FactName::Height) ?? $situation->tallestTallied();
        $tall = $height !== null && $height->isGreaterThan(Quantity::of(self::TALL_FEET, Unit::Foot));
        $kind = match (true) {
            $option->method->work() === 'wipe' || $option->goesOn('stump', 'wood') => 'touch',
            $option->goesOn('bark') || $option->method->guard() === 'shield' => 'low',
            $option->method->coversGround() && !$option->method->goesByHand() => 'boom',
            $tall || $option->schools->choice('foliar-droplet') === 'fine' => 'fine',
            default => 'coarse',
        };
        $reach = Quantity::of(self::FEET[$kind], Unit::Foot);
        foreach ($option->isLeafSpray() ? $option->cards() : [] as $card) {
            $own = $card->protection->exclusion;
            $reach = $own !== null && $own->isGreaterThan($reach) ? $own : $reach;
        }

        return $reach;
    }
}
