<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/** A rule whose finding hangs on a school; the board then shows what each other choice would give (rulings B9). */
interface RestsOnSchool extends Rule
{
    /** Id of the school for this row; null where the row does not hang on it. */
    public function school(Situation $situation, Option $option): ?string;
}
