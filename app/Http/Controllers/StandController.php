<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSighting;
use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Models\Stand;
use App\Resources\KeyResource;
use App\Resources\ProspectResource;
use App\Resources\StandResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;

/** Scouting one stand: what it is, what it could be taken for, and how much of it there is. */
final class StandController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue, private readonly StandResource $wire) {}

    public function show(Request $request, string $standId): JsonResponse
    {
        return $this->answer($this->find($request, $standId));
    }

    /** What it could be, in the season of the ground where one is given. */
    public function identify(Request $request, KeyResource $wire, JobClock $clock): JsonResponse
    {
        $in = $this->fields($request);
        $sight = ObservedCharacters::read($in, $this->catalogue);
        $groundId = $in->uuidOrNull('ground');
        $day = $in->dayOrNull('date');
        $this->done($in);
        $ground = $groundId === null ? null : Ground::query()->ofCrew($this->user($request))->findOrFail($groundId);
        $day ??= $ground === null ? null : $clock->today($ground->time_zone);
        $today = $day === null ? null : $ground?->showing($day) ?? new SeasonalVisibility(SeasonShift::none(), $day);

        return $this->json($wire->result((new Key($this->catalogue))->rank($sight, $today)));
    }

    public function storeSighting(Request $request, string $standId, KeepSighting $keep): JsonResponse
    {
        $keep($this->fields($request), $this->user($request), $this->find($request, $standId));

        return $this->answer($this->find($request, $standId), 201);
    }

    /** What it still could be, how it is handled till then, and what a name would open. */
    public function prospects(Request $request, string $standId, ProspectResource $wire): JsonResponse
    {
        return $this->json($wire->of($this->find($request, $standId)));
    }

    public function close(Request $request, string $standId): JsonResponse
    {
        $stand = $this->find($request, $standId);
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

        return $this->answer($this->find($request, $standId));
    }

    private function find(Request $request, string $id): Stand
    {
        return Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);
    }

    private function answer(Stand $stand, int $status = 200): JsonResponse
    {
        return $this->json($this->wire->stand($stand), $status, $stand->revision);
    }
}
