<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Coarse drops by default; fine ones by school only in a light steady wind of 1-3 m/s, never in calm, never with a
 * volatile or group 4 product near a broadleaf crop (rulings J2). The card's droplet class rules over the school.
 */
final readonly class Droplets implements RestsOnSchool
{
    private const LIGHT_WIND_METRES_PER_SECOND = ['1', '3'];

    public function school(Situation $situation, Option $option): ?string
    {
        return $option->isLeafSpray() ? 'foliar-droplet' : null;
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->isLeafSpray() || $situation->target === null || !$option->method->isFor($situation->target)) {
            return [];
        }
        if ($option->schools->choice('foliar-droplet') === 'coarse') {
            return [
                Finding::fits(
                    $option->method->isInRows() ? 'droplet.coarse-not-sideways' : 'droplet.coarse',
                    'rulings-J2',
                ),
            ];
        }
        if ($option->anyActive(static fn(Active $a): bool => $a->isVolatile() || $a->group() === '4')) {
            foreach ($situation->keepers as $keeper) {
                if ($keeper->kind === 'crop') {
                    return [
                        Finding::doesNotSuit(
                            'droplet.fine-near-crop',
                            'rulings-J2',
                            ['keeper' => $keeper->name],
                            'change.coarse-drops',
                        ),
                    ];
                }
            }
        }
        [$least, $most] = array_map(
            static fn(string $speed): Quantity => Quantity::of($speed, Unit::MetrePerSecond),
            self::LIGHT_WIND_METRES_PER_SECOND,
        );
        $wind = $situation->quantity(FactName::WindSpeed);
        if ($wind !== null && ($wind->isLessThan($least) || $wind->isGreaterThan($most))) {
            return [
                Finding::notNow(
                    'droplet.fine-wind',
                    'rulings-J2',
                    ['reading' => $wind, 'least' => $least, 'most' => $most],
                    null,
                    'change.coarse-drops',
                ),
            ];
        }

        return [
            Finding::withCare(
                'droplet.fine',
                'rulings-J2',
                ['least' => $least, 'most' => $most],
                'change.coarse-drops',
            ),
        ];
    }
}
