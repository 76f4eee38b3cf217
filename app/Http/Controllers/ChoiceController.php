<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FollowProgramme;
use App\Models\Crew;
use App\Models\Stand;
use App\Repositories\SituationRepository;
use App\Resources\ChoiceResource;
use App\Resources\ProgrammeResource;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Assess\Board;
use Thicket\Assess\CostCurve;
use Thicket\Assess\Row;
use Thicket\Assess\SideBySide;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Programmes\Planner;
use Thicket\Programmes\ProgrammeFit;

/** What a choice turns on: programmes of several jobs, ways side by side, what waiting costs. */
final class ChoiceController extends Controller
{
    private const MOST_COLUMNS = 4;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
    ) {}

    public function programmes(Request $request, string $standId, ProgrammeResource $wire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $this->done($this->query($request));

        return $this->json(
            $wire->offers($this->planner($stand->patch->ground->crew)->offers($this->situations->situation($stand))),
        );
    }

    /** Each job becomes a later step of the trail; steps that were never issued give way to it. */
    public function follow(
        Request $request,
        string $standId,
        FollowProgramme $follow,
        StandResource $wire,
    ): JsonResponse {
        $stand = $this->find($request, $standId);
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
        $this->mustMatch($request, $stand->revision, fn(): array => $wire->stand($stand));
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
        $stand = $this->find($request, $standId);

        return $this->json($wire->stand($stand), 200, $stand->revision);
    }

    /** Gives the programme up: jobs never issued go, what was issued or signed stays. */
    public function leave(Request $request, string $standId, StandResource $wire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $this->done($this->fields($request));
        $this->mustMatch($request, $stand->revision, fn(): array => $wire->stand($stand));
        DB::transaction(static function () use ($stand): void {
            $stand->dropOpenSteps();
            $stand->revision++;
            $stand->save();
        });
        $stand = $this->find($request, $standId);

        return $this->json($wire->stand($stand), 200, $stand->revision);
    }

    /** How this plan is weighed; without weights it is weighed as the crew weighs. */
    public function weigh(Request $request, string $standId, StandResource $wire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $weights = $in->has('weights') ? Weights::read($in) : null;
        $in->has('weights') || $in->raw('weights');
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $wire->stand($stand));
        $stand->weights = $weights?->parts;
        $stand->revision++;
        $stand->save();

        return $this->json($wire->stand($stand), 200, $stand->revision);
    }

    public function compare(Request $request, string $standId, ChoiceResource $wire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->query($request);
        $ids = array_values(array_filter(explode(',', $in->text('rows', 400) ?? '')));
        if (count($ids) < 2 || count($ids) > self::MOST_COLUMNS || count(array_unique($ids)) !== count($ids)) {
            $in->fault('rows', 'Name two to four different rows of the board.');
        }
        $rows = $this->rows($stand, $ids, $in);
        $this->done($in);
        $situation = $this->situations->situation($stand);
        $others = Stand::query()
            ->where('patch_id', $stand->patch_id)
            ->whereKeyNot($stand->id)
            ->where('closed_at', null)
            ->where('species', '!=', null)
            ->pluck('species')
            ->unique()
            ->map(fn($id) => $this->catalogue->species((string) $id))
            ->values()
            ->all();

        $sides = array_map(
            static fn(Row $row): SideBySide => SideBySide::of($situation, $row, array_values($others)),
            $rows,
        );

        return $this->json($wire->comparison($sides));
    }

    public function costs(Request $request, string $standId, ChoiceResource $wire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->query($request);
        $rows = $this->rows($stand, [$in->text('row', 200) ?? ''], $in, 'row');
        $this->done($in);

        return $this->json(
            $wire->costs($rows[0]->option, CostCurve::of($this->situations->situation($stand), $rows[0]->option)),
        );
    }

    /**
     * @param list<string> $ids
     *
     * @return list<Row> in the order asked for
     */
    private function rows(Stand $stand, array $ids, Fields $in, string $field = 'rows'): array
    {
        $crew = $stand->patch->ground->crew;
        $situation = $this->situations->situation($stand);
        [$schools, $shed] = [$this->situations->schools($crew), $this->situations->shed($crew)];
        $weights = $this->situations->weights($crew, $stand);
        $out = [];
        foreach ($ids as $id) {
            $row = Board::rowOf($id, $situation, $this->catalogue, $schools, $shed, $weights);
            $row === null ? $in->fault($field, "The board of this stand has no row {$id}.") : ($out[] = $row);
        }

        return $out;
    }

    private function planner(Crew $crew): Planner
    {
        return new Planner($this->catalogue, $this->situations->schools($crew), $this->situations->shed($crew));
    }

    private function find(Request $request, string $id): Stand
    {
        return Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);
    }
}
