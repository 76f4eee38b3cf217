<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Stand;
use App\Models\Step;
use Thicket\SeasonPlan\Job;
use Thicket\Verdict\Finding;

/** A job of the season with what it was made from. */
final readonly class PlannedJob
{
    /** @param Finding|null $shut what shuts it on the first of its days, where it has no open one */
    public function __construct(
        public Job $job,
        public Stand $stand,
        public Step $step,
        public ?Finding $shut = null,
    ) {}
}
