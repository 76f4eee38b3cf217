<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FollowProgramme;
use App\Models\Crew;
use App\Repositories\CrewRows;
use App\Repositories\SituationRepository;
use App\Resources\ProgrammeResource;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Programmes\Planner;
use Thicket\Programmes\ProgrammeFit;

/** Jobs in sequence: what is offered, what is followed. */
final class ProgrammeController extends Controller
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
    ) {}

    public function index(Request $request, string $standId, ProgrammeResource $resource): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $this->done($this->query($request));

        return $this->json(
            $resource->offers(
                $this->planner($stand->patch->ground->crew)->offers($this->situations->situation($stand)),
            ),
        );
    }

    /** Each job becomes a later step of the trail; steps that were never issued give way to it. */
    public function store(
        Request $request,
        string $standId,
        FollowProgramme $follow,
        StandResource $resource,
    ): JsonResponse {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->fields($request);
        $id = $in->text('programme', 60);
        $situation = $this->situations->situation($stand);
        if ($id !== null && !$this->catalogue->hasProgramme($id)) {
            $in->fault('programme', 'There is no such programme.');
        } elseif (
            $id !== null &&
            ($situation->target === null ||
                !(new ProgrammeFit($this->catalogue->programme($id)))->isFor($situation->target, $situation))
        ) {
            $in->fault('programme', 'This programme is not made for this plant on this ground.');
        }
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $resource->stand($stand));
        if ($situation->target === null) {
            throw new \LogicException('refused above');
        }
        $crew = $stand->patch->ground->crew;
        $offer = $this->planner($crew)->layOut(
            $this->catalogue->programme((string) $id),
            $situation->target,
            $situation,
        );
        if (!$offer->canBeDone()) {
            throw new \App\Exceptions\Stopped(
                409,
                'A step of this programme cannot be done as things are; see what would change it.',
            );
        }
        $follow($stand, $offer, $crew, $this->situations->schools($crew)->chosen);
        $stand = CrewRows::stand($this->user($request), $standId);

        return $this->json($resource->stand($stand), 200, $stand->revision);
    }

    /** Gives the programme up: jobs never issued go, what was issued or signed stays. */
    public function destroy(Request $request, string $standId, StandResource $resource): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $this->done($this->fields($request));
        $this->mustMatch($request, $stand->revision, fn(): array => $resource->stand($stand));
        DB::transaction(static function () use ($stand): void {
            $stand->dropOpenSteps();
            $stand->revision++;
            $stand->save();
        });
        $stand = CrewRows::stand($this->user($request), $standId);

        return $this->json($resource->stand($stand), 200, $stand->revision);
    }

    private function planner(Crew $crew): Planner
    {
        return new Planner($this->catalogue, $this->situations->schools($crew), $this->situations->shed($crew));
    }
}
