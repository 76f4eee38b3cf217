<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Stand;
use App\Models\Tally;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Thicket\Review\Retreat;

/**
 * Another round: what a score says is left of the stems is kept as an estimated count of that day; the work that was
 * judged stays as it is, and a way is chosen anew.
 */
final class RoundController extends Controller
{
    public function store(Request $request, string $recordId, StandResource $resource): JsonResponse
    {
        $user = $this->user($request);
        $record = CrewRows::record($user, $recordId);
        Gate::authorize('write');
        $this->done($this->fields($request));
        $scored = $record->scored();
        $stand = CrewRows::openStand(
            $user,
            (string) Stand::query()
                ->whereHas('steps', static fn($steps) => $steps->whereKey($record->step_id))
                ->value('id'),
        );
        $tally = $stand->tally;
        if ($scored === null || (int) $scored->body['dead'] >= (int) $scored->body['counted']) {
            throw new Stopped(409, 'Another round begins with what a score found alive.');
        }
        if ($tally === null || $tally->kind !== 'stems' || $tally->visited_on->greaterThan($record->worked_on)) {
            throw new Stopped(409, 'Count at Scout what stands there now: there is no count of stems to go on from.');
        }
        $rows = array_values($tally->rows);
        $left = Retreat::left(
            array_map(static fn(array $row): int => (int) $row['count'], $rows),
            (int) $scored->body['dead'],
            (int) $scored->body['counted'],
        );
        $kept = [];
        foreach ($rows as $i => $row) {
            $left[$i] > 0 && ($kept[] = ['count' => $left[$i], 'estimated' => true] + $row);
        }
        if ($kept === []) {
            throw new Stopped(409, 'So few are left that none of the sizes holds a whole one: count them at Scout.');
        }
        Tally::create([
            'stand_id' => $stand->id,
            'zone_id' => $tally->zone_id,
            'kind' => 'stems',
            'visited_on' => $scored->looked_on->format('Y-m-d'),
            'diameter_at' => $tally->diameter_at,
            'rows' => $kept,
            'made_by' => $user->id,
        ]);

        return $this->json($resource->stand(CrewRows::stand($user, $stand->id)), 201);
    }
}
