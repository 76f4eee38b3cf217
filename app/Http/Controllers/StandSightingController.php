<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSighting;
use App\Http\Readers\SightingReader;
use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a stand was found to be. */
final class StandSightingController extends Controller
{
    public function __construct(private readonly StandResource $resource) {}

    public function store(Request $request, string $standId, KeepSighting $keep, SightingReader $reader): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->fields($request);
        $given = $reader->read($in, $this->user($request), $stand);
        $this->done($in);
        $keep($given, $this->user($request), $stand);

        return $this->answer(CrewRows::stand($this->user($request), $standId), 201);
    }

    private function answer(Stand $stand, int $status = 200): JsonResponse
    {
        return $this->json($this->resource->stand($stand), $status, $stand->revision);
    }
}
