<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Ground;
use App\Repositories\CrewRows;
use App\Resources\KeyResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;

/** The key: who a plant could be. */
final class IdentifyController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue) {}

    /** What it could be, in the season of the ground where one is given. */
    public function rank(Request $request, KeyResource $resource, JobClock $clock): JsonResponse
    {
        $in = $this->fields($request);
        $sight = ObservedCharacters::read($in, $this->catalogue);
        $groundId = $in->uuidOrNull('ground');
        $day = $in->dayOrNull('date');
        $this->done($in);
        $ground = $groundId === null ? null : CrewRows::ground($this->user($request), $groundId);
        $day ??= $ground === null ? null : $clock->today($ground->time_zone);
        $today = $day === null ? null : $ground?->showing($day) ?? new SeasonalVisibility(SeasonShift::none(), $day);

        return $this->json($resource->result((new Key($this->catalogue))->rank($sight, $today)));
    }
}
