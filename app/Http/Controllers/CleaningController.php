<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NoteSprayer;
use App\Models\Sprayer;
use App\Resources\ShedResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** That a sprayer was washed: what it held before stops no other job any more. */
final class CleaningController extends Controller
{
    public function store(Request $request, string $sprayerId, NoteSprayer $book, ShedResource $resource): JsonResponse
    {
        $user = $this->user($request);
        $sprayer = Sprayer::query()->where('crew_id', $user->crew_id)->findOrFail($sprayerId);
        $in = $this->fields($request);
        $note = $in->textOrNull('note', 300);
        $this->done($in);
        $book->cleaned($sprayer, $note, $user);

        return $this->json($resource->shed($user->crew), 201);
    }
}
