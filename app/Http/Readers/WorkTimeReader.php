<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;

/** How long a job takes, as somebody tells it. */
final readonly class WorkTimeReader
{
    /** A year of one person's working days. */
    private const MOST_MINUTES = 120_000;

    /** @return int|null minutes of one person's work, rounded up; null where it is to be reckoned again */
    public function read(Fields $in): ?int
    {
        $minutes = $in
            ->positiveOrNull('time', Dimension::Duration)
            ?->in(Unit::Minute)
            ->toScale(0, RoundingMode::CEILING)
            ->toInt();

        return $minutes !== null && $minutes > self::MOST_MINUTES
            ? $in->fault('time', 'Give the hours of one person for the whole job, 2000 h at most.')
            : $minutes;
    }
}
