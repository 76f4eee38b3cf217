<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\StandingTree;
use App\Repositories\CrewRows;
use App\Resources\RecordResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** Looks at trees dying on their feet: they stand, or are down (rulings J34). The newest look holds. */
final class StandingTreeController extends Controller
{
    public function store(Request $request, string $standingId, RecordResource $resource, JobClock $clock): JsonResponse
    {
        $user = $this->user($request);
        $trees = StandingTree::query()->with('patch.ground')->where('crew_id', $user->crew_id)->findOrFail($standingId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $down = $in->has('down') ? $in->bool('down', false) : $in->fault('down', 'Say whether they are down.');
        $this->done($in);
        $today = Carbon::instance($clock->today($trees->patch->ground->time_zone));
        $trees->looked_on = $today;
        $trees->looked_by = $user->id;
        $trees->down_on = $down === true ? $today : null;
        $trees->save();

        return $this->json($resource->record(CrewRows::record($user, $trees->record_id)), 201);
    }
}
