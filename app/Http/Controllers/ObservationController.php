<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\ObservationsReader;
use App\Models\Observation;
use App\Models\Patch;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What was observed on a patch. */
final class ObservationController extends PatchChanges
{
    public function store(Request $request, string $patchId, ObservationsReader $reader): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $rows = $reader->read($in, $this->today($patch->ground));
        $this->done($in);
        DB::transaction(function () use ($rows, $patch, $request): void {
            foreach ($rows as $row) {
                Observation::create(
                    $row + [
                        'patch_id' => $patch->id,
                        'ground_id' => $patch->ground_id,
                        'made_by' => $this->user($request)->id,
                    ],
                );
            }
        });

        return $this->answer($this->find($request, $patchId), 201);
    }
}
