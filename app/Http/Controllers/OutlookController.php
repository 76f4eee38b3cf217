<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Resources\OutlookResource;
use App\Resources\StandResource;
use App\Workflow\OutlookDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Outlook\Terms;

/** The years ahead of a stand, and the figures by which they are looked at. */
final class OutlookController extends Controller
{
    public function __construct(private readonly OutlookDesk $desk, private readonly OutlookResource $resource) {}

    public function show(Request $request, string $standId): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $this->done($this->query($request));

        return $this->answer($stand);
    }

    /** How far, against what, with which figures instead of ours; nothing given is as shipped again. */
    public function update(Request $request, string $standId, StandResource $stands): JsonResponse
    {
        $stand = CrewRows::openStand($this->user($request), $standId);
        $in = $this->fields($request);
        $terms = Terms::read($in);
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $stands->stand($stand));
        $stand->outlook = $terms->told() ?: null;
        $stand->revision++;
        $stand->save();

        return $this->answer($stand);
    }

    private function answer(Stand $stand): JsonResponse
    {
        $outlook = $this->desk->of($stand);
        $crew = $stand->patch->ground->crew;

        return $this->json(
            is_string($outlook)
                ? $this->resource->lacking($outlook)
                : $this->resource->of($outlook, $crew->currency(), OutlookDesk::since($stand)),
            200,
            $stand->revision,
        );
    }
}
