<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Resources\ProspectResource;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A stand: what is known of it, and its end. */
final class StandController extends Controller
{
    public function __construct(private readonly StandResource $resource) {}

    public function show(Request $request, string $standId): JsonResponse
    {
        return $this->answer(CrewRows::stand($this->user($request), $standId));
    }

    /** What it still could be, how it is handled till then, and what a name would open. */
    public function prospects(Request $request, string $standId, ProspectResource $resource): JsonResponse
    {
        return $this->json($resource->of(CrewRows::stand($this->user($request), $standId)));
    }

    public function close(Request $request, string $standId): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->fields($request);
        $reason = $in->text('reason', 300);
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => ['id' => $stand->id]);
        if ($stand->closed_at !== null) {
            throw new Stopped(409, 'This stand is closed already.');
        }
        $stand
            ->forceFill(['closed_at' => now(), 'closed_reason' => $reason, 'revision' => $stand->revision + 1])
            ->save();

        return $this->answer(CrewRows::stand($this->user($request), $standId));
    }

    /** Who of the crew does what is next; null for nobody yet. */
    public function assign(Request $request, string $standId): JsonResponse
    {
        $user = $this->user($request);
        $stand = CrewRows::openStand($user, $standId);
        $in = $this->fields($request);
        $person = $in->uuidOrNull('person');
        if ($person !== null && !$user->crew->people()->whereKey($person)->exists()) {
            $in->fault('person', 'This is nobody of the crew; choose one of the people in the Shed.');
        }
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => ['id' => $stand->id]);
        $stand->forceFill(['person_id' => $person, 'revision' => $stand->revision + 1])->save();

        return $this->answer(CrewRows::stand($user, $standId));
    }

    private function answer(Stand $stand, int $status = 200): JsonResponse
    {
        return $this->json($this->resource->stand($stand), $status, $stand->revision);
    }
}
