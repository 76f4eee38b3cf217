<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSighting;
use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a stand was found to be. */
final class StandSightingController extends Controller
{
    public function __construct(private readonly StandResource $wire) {}

    public function store(Request $request, string $standId, KeepSighting $keep): JsonResponse
    {
        $keep($this->fields($request), $this->user($request), CrewRows::stand($this->user($request), $standId));

        return $this->answer(CrewRows::stand($this->user($request), $standId), 201);
    }

    private function answer(Stand $stand, int $status = 200): JsonResponse
    {
        return $this->json($this->wire->stand($stand), $status, $stand->revision);
    }
}
