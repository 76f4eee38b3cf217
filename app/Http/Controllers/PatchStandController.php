<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Patch;
use App\Models\Stand;
use App\Resources\StandResource;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Stands of a patch. */
final class PatchStandController extends PatchChanges
{
    public function store(Request $request, string $patchId, StandResource $stands): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $this->done($in);
        $this->mustBeNew($id, new Stand());
        $stand = Stand::create(array_filter(['id' => $id]) + ['patch_id' => $patch->id]);
        $stand = Stand::query()->withLine()->findOrFail($stand->id);

        return $this->json($stands->line($stand, Workflow::of($stand, $this->catalogue)), 201, 1);
    }
}
