<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SignRecord;
use App\Http\Readers\RecordReader;
use App\Http\SecurityLog;
use App\Models\Record;
use App\Repositories\CrewRows;
use App\Resources\RecordResource;
use App\Text\RecordTable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
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

    /** Every record of a season, with all that was added to them, as it was signed. */
    public function index(Request $request, RecordResource $resource): JsonResponse
    {
        $records = $this->ofYear($request);

        return $this->json([
            'format' => 'gallant-thicket-records',
            'records' => $records->map($resource->record(...))->values()->all(),
        ]);
    }

    /** The same as a table. */
    public function csv(Request $request, RecordTable $table): Response
    {
        $records = $this->ofYear($request);
        SecurityLog::note('exported', $request, ['what' => 'records']);

        return new Response($table->of($records), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="records.csv"',
        ]);
    }

    /** @return Collection<int, Record> all of a year by the days of the work, or of all years */
    private function ofYear(Request $request): Collection
    {
        $in = $this->query($request);
        $year = $in->has('year') ? $in->int('year', 2000, 2100) : null;
        $in->has('year') || $in->raw('year');
        $this->done($in);

        return CrewRows::recordsOf($this->user($request), $year);
    }

    public function show(Request $request, string $recordId, RecordResource $resource): JsonResponse
    {
        return $this->json($resource->record(CrewRows::record($this->user($request), $recordId)));
    }
}
