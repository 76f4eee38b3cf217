<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Repositories\Counts;
use App\Repositories\CrewRows;
use App\Resources\CountResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What holds of all counts, and what follows. */
final class CountController extends Controller
{
    public function __construct(private readonly CountResource $resource) {}

    /** What holds now, what follows from it, and every count that was made. */
    public function show(Request $request, string $standId): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->query($request);
        $share = $in->has('share') ? $in->decimal('share', '0.01', '1') : '0.2';
        $this->done($in);

        return $this->json($this->resource->count($stand, (float) ($share ?? '0.2')));
    }
}
