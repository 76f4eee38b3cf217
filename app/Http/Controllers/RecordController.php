<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SignRecord;
use App\Http\Readers\RecordReader;
use App\Models\Record;
use App\Repositories\CrewRows;
use App\Resources\RecordResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Signed records. */
final class RecordController extends Controller
{
    public function store(
        Request $request,
        string $sheetId,
        SignRecord $sign,
        RecordReader $reader,
        RecordResource $resource,
    ): JsonResponse {
        $sheet = CrewRows::sheet($this->user($request), $sheetId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $body = $reader->read($in, $sheet);
        $id = $in->uuidOrNull('id');
        $this->done($in);
        $this->passwordAgain($request);
        $this->mustBeNew($id, new Record());

        return $this->json($resource->record($sign($sheet, $this->user($request), $body, $id)), 201);
    }

    public function show(Request $request, string $recordId, RecordResource $resource): JsonResponse
    {
        return $this->json($resource->record(CrewRows::record($this->user($request), $recordId)));
    }
}
