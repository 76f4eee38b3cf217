<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** One piece of judgement: reads the situation, says what it finds about one row. Nothing to say is an empty list. */
interface Rule
{
    /** @return list<Finding> */
    public function evaluate(Situation $situation, Option $option): array;
}
