<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Seal\Chain;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The newest seal of the crew. */
final class SealController extends Controller
{
    /** The newest seal of the crew, signed: to be kept where this database is not (thicket:verify --head). */
    public function show(Request $request, Chain $chain): JsonResponse
    {
        SecurityLog::note('exported', $request, ['what' => 'head of the seals']);

        return $this->json($chain->head($this->user($request)->crew));
    }
}
