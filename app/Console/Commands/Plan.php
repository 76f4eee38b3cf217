<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\PlanResource;
use Thicket\Input\Fields;
use Thicket\SeasonPlan\SeasonPlanner;
use Thicket\SeasonPlan\SeasonReader;

/**
 * Puts the jobs of a season on days; needs no database. Schema and example: docs/schemas/season.schema.json,
 * docs/examples; what it holds to: docs/planner.md.
 */
final class Plan extends Twin
{
    protected $signature = 'thicket:plan {file=- : JSON file, or - for standard input}';

    protected $description = 'Put the jobs of a season on days';

    protected function answer(Fields $in): array
    {
        [$season, $before] = SeasonReader::read($in);

        return app(PlanResource::class)->proposal(SeasonPlanner::plan($season, $before), $season, []);
    }
}
