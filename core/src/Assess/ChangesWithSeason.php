<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * A rule whose finding changes with the calendar alone; it tells on which days, so that a year is judged at those and
 * not day by day (rulings B34).
 */
interface ChangesWithSeason extends Rule
{
    /** @return list<\DateTimeImmutable> first days of another finding, those of the year at least */
    public function turns(Situation $situation, Option $option, int $year): array;
}
