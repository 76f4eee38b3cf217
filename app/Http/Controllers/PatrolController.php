<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Patrol;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\PatrolDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Review\Patrols;

/** Looks at ground that was cleared (rulings J23). */
final class PatrolController extends Controller
{
    private const MOST = 1_000_000;

    public function store(
        Request $request,
        string $standId,
        PatrolDesk $desk,
        StandResource $resource,
        JobClock $clock,
    ): JsonResponse {
        $user = $this->user($request);
        $stand = CrewRows::openStand($user, $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $on = $in->pastDay('lookedOn', $clock->today($stand->patch->ground->time_zone));
        $found = $in->choice('found', Patrols::FOUND);
        $count = $in->intOrNull('count', 1, self::MOST);
        $text = $in->textOrNull('text', 500);
        $found === Patrols::NONE && $count !== null && $in->fault('count', 'Nothing was found: leave the count out.');
        $this->done($in);
        $this->mustBeNew($id, new Patrol());
        if ($desk->of($stand) === null) {
            throw new Stopped(409, 'Patrols come after the work was judged: look back first.');
        }
        Patrol::create(
            array_filter(['id' => $id]) + [
                'stand_id' => $stand->id,
                'looked_on' => $on?->format('Y-m-d'),
                'found' => $found,
                'count' => $count,
                'text' => $text,
                'made_by' => $user->id,
            ],
        );

        return $this->json($resource->stand(CrewRows::stand($user, $standId)), 201);
    }
}
