<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Stand;
use App\Models\Step;
use Thicket\SeasonPlan\Job;

/** A job of the season with what it was made from. */
final readonly class PlannedJob
{
    public function __construct(public Job $job, public Stand $stand, public Step $step) {}
}
