<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;
use Thicket\Weather\Psychrometry;

/** Delta-T of a leaf spray: 2-8 K fits, to 10 with care; below, drops hang; above, they dry on the way (rulings J3). */
final readonly class DropsDry implements HourRule
{
    private const LEAST = 2.0;
    private const GOOD = 8.0;
    private const MOST = 10.0;

    public function condition(): Condition
    {
        return Condition::Drying;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        // coarse drops neither hang nor dry on the way
        if (!$hour->option->isLeafSpray() || $hour->option->schools->choice('foliar-droplet') === 'coarse') {
            return null;
        }
        [$air, $humidity] = [$hour->weather->air, $hour->weather->humidity];
        if ($air === null || $humidity === null) {
            return Finding::unknown('forecast', 'rulings-J3', true);
        }
        $delta = Psychrometry::deltaT($air->float(Unit::Celsius), $humidity, $hour->place->elevationMetres);
        $values = ['delta' => sprintf('%.1F', $delta)];

        return match (true) {
            $delta < self::LEAST => Finding::notNow(
                'hour.drops-hang',
                'rulings-J3',
                $values,
                null,
                'change.coarse-drops',
            ),
            $delta > self::MOST => Finding::notNow(
                'hour.drops-dry',
                'rulings-J3',
                $values,
                null,
                'change.coarse-drops',
            ),
            $delta > self::GOOD => Finding::withCare('hour.drops-nearly', 'rulings-J3', $values, 'change.coarse-drops'),
            default => Finding::fits('hour.drops-fit', 'rulings-J3', $values, $hour->certainty()),
        };
    }
}
