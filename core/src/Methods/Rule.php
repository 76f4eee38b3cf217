<?php

declare(strict_types=1);

namespace Thicket\Methods;

/** One piece of judgement: reads the situation, says what it finds about one row. Nothing to say is an empty list. */
interface Rule
{
    /** @return list<Finding> */
    public function evaluate(Situation $situation, Candidate $candidate): array;
}
