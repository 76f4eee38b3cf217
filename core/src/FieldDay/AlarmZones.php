<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\KeptPlant;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Situation\SprayReach;
use Thicket\Survey\Shape;
use Thicket\Survey\Zone;

/**
 * Ground that nobody enters with the product: round water by the strictest card of the tank, round what is kept as far
 * as drops are carried. Shapes worked out once, so that a phone only asks whether a position lies in them.
 */
final class AlarmZones
{
    /** Round water where no card names a distance (rulings J52). */
    private const WATER_METRES = 10;

    private function __construct() {}

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     * @param list<array{keeper: ProtectedFeature, shape: Shape}> $drawn what is drawn near
     *
     * @return list<AlarmZone>
     */
    public static function of(Situation $situation, array $tank, array $drawn): array
    {
        $option = $tank[0];
        $zones = [];
        foreach ($option->method->usesProduct() ? $drawn : [] as ['keeper' => $keeper, 'shape' => $shape]) {
            $distance = match (true) {
                $keeper->isWater() => self::fromWater($tank),
                KeptPlant::of($keeper, $option->catalogue) !== null => SprayReach::of($situation, $option),
                default => null,
            };
            if ($distance !== null) {
                $zones[] = new AlarmZone($keeper->name, $distance, Zone::round($shape, $distance));
            }
        }

        return $zones;
    }

    /** @param non-empty-list<Option> $tank */
    private static function fromWater(array $tank): Quantity
    {
        $buffers = array_map(
            static fn(Option $o): Quantity => $o->card?->start->waterBuffer ??
                Quantity::of(self::WATER_METRES, Unit::Metre),
            $tank,
        );
        $widest = $buffers[0];
        foreach ($buffers as $buffer) {
            $widest = $buffer->isGreaterThan($widest) ? $buffer : $widest;
        }

        return $widest;
    }
}
