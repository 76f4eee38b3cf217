<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Verdict\Finding;

/** One condition of an hour: says what it finds, or nothing where the work does not ask for it. */
interface HourRule
{
    public function condition(): Condition;

    public function evaluate(WorkHour $hour): ?Finding;
}
