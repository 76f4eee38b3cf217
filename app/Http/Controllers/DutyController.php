<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\DutyReader;
use App\Models\SettledDuty;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;

/** What was settled with others before a job: papers held, people told (rulings J15, J19, J20). */
final class DutyController extends Controller
{
    public function store(
        Request $request,
        string $standId,
        DutyReader $reader,
        StandResource $resource,
        JobClock $clock,
    ): JsonResponse {
        $user = $this->user($request);
        $stand = CrewRows::openStand($user, $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $given = $reader->read($in, $clock->today($stand->patch->ground->time_zone));
        $this->done($in);
        $this->mustBeNew($id, new SettledDuty());
        $paper = $given['kind']?->isPaper() === true;
        $step = Workflow::current($stand);
        if (!$paper && $step === null) {
            throw new Stopped(409, 'Choose a way of working first: people are told of one job.');
        }
        SettledDuty::create(
            array_filter(['id' => $id]) +
                array_diff_key($given, ['wholeGround' => true]) + [
                    'crew_id' => $user->crew_id,
                    'ground_id' => $stand->patch->ground_id,
                    'patch_id' => $given['wholeGround'] && $paper ? null : $stand->patch_id,
                    'step_id' => $paper ? null : $step?->id,
                    'noted_by' => $user->id,
                    'noted_at' => $clock->now(),
                ],
        );

        return $this->json($resource->stand(CrewRows::stand($user, $standId)), 201);
    }

    /** Written down wrongly, or given back: it counts no longer; sheets and records keep what they said. */
    public function destroy(Request $request, string $dutyId, JobClock $clock): Response
    {
        $user = $this->user($request);
        $row = SettledDuty::query()
            ->where(['crew_id' => $user->crew_id, 'taken_back_at' => null])
            ->findOrFail($dutyId);
        $row->taken_back_at = Carbon::instance($clock->now());
        $row->taken_back_by = $user->id;
        $row->save();

        return response()->noContent();
    }
}
