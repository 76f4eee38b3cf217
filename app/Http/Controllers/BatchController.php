<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MixBatch;
use App\Http\Readers\MixedLoadReader;
use App\Models\Batch;
use App\Repositories\CrewRows;
use App\Resources\BatchResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Loads as they were mixed. */
final class BatchController extends Controller
{
    public function __construct(private readonly MixedLoadReader $reader) {}

    public function index(Request $request, string $stepId): JsonResponse
    {
        [, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $this->done($this->query($request));

        /** @var list<Batch> $rows */
        $rows = array_values(
            Batch::query()->where('step_id', $step->id)->orderByDesc('number')->get()->take(50)->all(),
        );

        return $this->json(['data' => array_map(BatchResource::batch(...), $rows)]);
    }

    /**
     * One load mixed: every addition confirmed once and in order, its product drawn from the shelf, its label written.
     */
    public function store(Request $request, string $stepId, MixBatch $mix): JsonResponse
    {
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $in = $this->fields($request);
        $mixed = $this->reader->read($in);
        $this->done($in);
        $this->mustBeNew($mixed->id, new Batch());
        $batch = $mix($stand, $step, $mixed, $this->user($request));

        return $this->json(BatchResource::batch($batch), 201);
    }
}
