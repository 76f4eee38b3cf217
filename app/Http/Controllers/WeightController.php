<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Crew;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Assess\Weights;

/** How one plan weighs what counts. */
final class WeightController extends Controller
{
    /** How this plan is weighed; without weights it is weighed as the crew weighs. */
    public function update(Request $request, string $standId, StandResource $resource): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->fields($request);
        $weights = $in->has('weights') ? Weights::read($in) : null;
        $in->has('weights') || $in->raw('weights');
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $resource->stand($stand));
        $stand->weights = $weights?->parts;
        $stand->revision++;
        $stand->save();

        return $this->json($resource->stand($stand), 200, $stand->revision);
    }
}
