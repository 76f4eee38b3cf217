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

/** Trees dying on their feet: looked at, or down (rulings J34). */
final class StandingTreeController extends Controller
{
    private const STATES = ['looked', 'down'];

    public function update(
        Request $request,
        string $standingId,
        RecordResource $resource,
        JobClock $clock,
    ): JsonResponse {
        $user = $this->user($request);
        $trees = StandingTree::query()->with('patch.ground')->where('crew_id', $user->crew_id)->findOrFail($standingId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $state = $in->choice('state', self::STATES);
        $this->done($in);
        $today = Carbon::instance($clock->today($trees->patch->ground->time_zone));
        $state === 'down' ? ($trees->down_on = $today) : ($trees->looked_on = $today);
        $trees->save();

        return $this->json($resource->record(CrewRows::record($user, $trees->record_id)));
    }
}
