<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\PlotPlan;
use App\Models\Record;
use App\Models\Stand;
use App\Models\Tally;
use Illuminate\Database\Eloquent\Builder;
use Thicket\Survey\FixedPlots;

/** Where a look back is counted again: the plots that were placed on the stands of a record. */
final readonly class PlotSpots
{
    private const MOST_PLANS = 20;

    /** @return list<array{position: array{float, float}, stood: int|null}> of each zone its newest plan */
    public function of(Record $record): array
    {
        $stands = Stand::query()
            ->whereHas('steps', static fn(Builder $step) => $step->whereKey($record->step_id))
            ->with('tallies')
            ->orderBy('id')
            ->get();
        $plots = [];
        /** @var Stand $stand */
        foreach ($stands as $stand) {
            array_push($plots, ...FixedPlots::of(self::spots($stand), self::before($stand, $record)));
        }

        return $plots;
    }

    /** @return list<array{float, float}> */
    private static function spots(Stand $stand): array
    {
        $plans = $stand->plotPlans()->limit(self::MOST_PLANS)->get()->unique('zone_id');

        return array_values(
            $plans->flatMap(static fn(PlotPlan $plan): array => array_column($plan->plots, 'position'))->all(),
        );
    }

    /** @return list<array{position: array{float, float}, counts: list<int>}> the newest first */
    private static function before(Stand $stand, Record $record): array
    {
        $plots = [];
        foreach ($stand->tallies as $tally) {
            if ($tally->kind !== 'plots' || $tally->visited_on->greaterThan($record->worked_on)) {
                continue;
            }
            array_push($plots, ...self::placed($tally));
        }

        return $plots;
    }

    /** @return list<array{position: array{float, float}, counts: list<int>}> */
    private static function placed(Tally $tally): array
    {
        $placed = [];
        foreach ((array) ($tally->body['plots'] ?? []) as $plot) {
            [$lon, $lat] = is_array($plot) && is_array($plot['position'] ?? null) ? $plot['position'] : [null, null];
            $counts = is_array($plot) ? $plot['counts'] ?? null : null;
            is_numeric($lon) &&
                is_numeric($lat) &&
                is_array($counts) &&
                ($placed[] = [
                    'position' => [(float) $lon, (float) $lat],
                    'counts' => array_map(intval(...), array_values($counts)),
                ]);
        }

        return $placed;
    }
}
