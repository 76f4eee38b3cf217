<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MixBatch;
use App\Models\Batch;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Fields;

/** Loads as they were mixed. */
final class BatchController extends Controller
{
    public function index(Request $request, string $stepId, MixBatch $mix): JsonResponse
    {
        [, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $this->done($this->query($request));

        /** @var list<Batch> $rows */
        $rows = array_values(
            Batch::query()->where('step_id', $step->id)->orderByDesc('number')->get()->take(50)->all(),
        );

        return $this->json(['data' => array_map($mix->told(...), $rows)]);
    }

    /**
     * One load mixed: every addition confirmed once and in order, its product drawn from the shelf, its label written.
     */
    public function store(Request $request, string $stepId, MixBatch $mix, StandResource $wire): JsonResponse
    {
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $load = $in->int('load', 0, 100, 0);
        $confirmed = $in->strings('confirmed', null, 20);
        $draws = array_map(
            static fn(Fields $d): array => [
                $d,
                $d->uuid('containerId'),
                $d->has('amount') ? $d->reading('amount', null)?->quantity : null,
            ],
            $in->objects('draws', 6),
        );
        foreach ($draws as [$d]) {
            $d->has('amount') || $d->raw('amount');
            $d->noOthers();
        }
        $this->done($in);
        $this->mustBeNew($id, new Batch());
        $batch = $mix(
            $stand,
            $step,
            (int) $load,
            $confirmed,
            array_map(static fn(array $d): array => ['containerId' => (string) $d[1], 'amount' => $d[2]], $draws),
            $this->user($request),
            $id,
        );

        return $this->json($mix->told($batch), 201);
    }
}
