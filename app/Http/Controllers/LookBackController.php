<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\LookBackReader;
use App\Models\LookBack;
use App\Models\Sealed;
use App\Repositories\CrewRows;
use App\Resources\RecordResource;
use App\Seal\Chain;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** Looks at what was done. */
final class LookBackController extends Controller
{
    public function __construct(private readonly LookBackReader $reader) {}

    public function store(Request $request, string $recordId, RecordResource $resource, Chain $chain): JsonResponse
    {
        $record = CrewRows::record($this->user($request), $recordId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        ['looked' => $looked, 'scored' => $scored, 'body' => $body] = $this->reader->read($in, $record);
        $this->done($in);
        if ($scored && $looked !== null && $looked->format('Y-m-d') < $record->judge_after->format('Y-m-d')) {
            throw new Stopped(
                409,
                'It cannot be judged before ' .
                    $record->judge_after->format('Y-m-d') .
                    '. Keep what you saw as a sign; root kill shows later.',
                ['judgeAfter' => $record->judge_after->format('Y-m-d')],
            );
        }
        $this->mustBeNew($id, new LookBack());
        DB::transaction(function () use ($chain, $id, $record, $looked, $scored, $body, $request): void {
            $look = LookBack::create(
                array_filter(['id' => $id]) + [
                    'record_id' => $record->id,
                    'looked_on' => $looked?->format('Y-m-d'),
                    'scored' => $scored,
                    'body' => $body,
                    'made_by' => $this->user($request)->id,
                ],
            );
            $chain->add($record->crew_id, Sealed::LookBack, $look->id);
        });

        return $this->json($resource->record(CrewRows::record($this->user($request), $recordId)), 201);
    }
}
