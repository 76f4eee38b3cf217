<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Repositories\OpenSessions;
use App\Resources\MeResource;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Browsers in which one is signed in: a lost phone is signed out from here. */
final class OpenSessionController extends Controller
{
    public function __construct(private readonly MeResource $resource) {}

    public function destroy(Request $request, string $open): JsonResponse
    {
        OpenSessions::end($this->user($request), $open) || throw new ModelNotFoundException();
        SecurityLog::note('session ended', $request);

        return $this->json($this->resource->me($this->user($request), $request->session()->getId()));
    }

    /** All but the one at hand. */
    public function destroyOthers(Request $request): JsonResponse
    {
        $ended = OpenSessions::endAll($this->user($request), $request->session()->getId());
        SecurityLog::note('other sessions ended', $request, ['count' => $ended]);

        return $this->json($this->resource->me($this->user($request), $request->session()->getId()));
    }
}
