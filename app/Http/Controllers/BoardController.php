<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Repositories\SituationRepository;
use App\Resources\BoardResource;
use App\Resources\YearResource;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Assess\Board;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Situation\Schools;
use Thicket\Situation\Situation;

/** What the board says of a stand: all its rows, one of them with its reasons, and the year. */
final class BoardController extends Controller
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
    ) {}

    public function show(Request $request, string $standId, BoardResource $resource): JsonResponse
    {
        $stand = CrewRows::standToJudge($this->user($request), $standId);
        $in = $this->query($request);
        [$situation, $schools, $weights] = $this->asked($in, $stand);
        $this->done($in);
        $board = Board::for(
            $situation,
            $this->catalogue,
            $schools,
            $this->situations->shed($stand->patch->ground->crew),
            null,
            $weights,
        );

        return $this->json($resource->board($board, $situation));
    }

    /** One row of the board with all its reasons. */
    public function row(Request $request, string $standId, BoardResource $resource): JsonResponse
    {
        $stand = CrewRows::standToJudge($this->user($request), $standId);
        $in = $this->query($request);
        $id = $in->text('row', 400);
        [$situation, $schools, $weights] = $this->asked($in, $stand);
        $row =
            $id === null
                ? null
                : Board::rowOf(
                    $id,
                    $situation,
                    $this->catalogue,
                    $schools,
                    $this->situations->shed($stand->patch->ground->crew),
                    $weights,
                );
        $id !== null && $row === null && $in->fault('row', "The board of this stand has no row {$id}.");
        $this->done($in);

        return $this->json($resource->row($row ?? throw new \LogicException('refused above')));
    }

    public function year(Request $request, string $standId, YearResource $resource): JsonResponse
    {
        $stand = CrewRows::standToJudge($this->user($request), $standId)->loadMissing('steps.cardVersion');
        $in = $this->query($request);
        $situation = $this->situations->situation($stand);
        $year = $in->int('year', 2000, 2100, (int) $situation->day->format('Y'));
        $this->done($in);
        $crew = $stand->patch->ground->crew;

        $board = Board::for(
            $situation,
            $this->catalogue,
            $this->situations->schools($crew),
            $this->situations->shed($crew),
            null,
            $this->situations->weights($crew, $stand),
        );
        $chosen = Workflow::current($stand);

        return $this->json(
            $resource->year(
                $situation,
                (int) $year,
                $board,
                $chosen === null ? null : Board::judge($situation, $this->situations->option($chosen, $crew)),
                array_map($this->situations->card(...), $chosen?->cardVersions() ?? []),
            ),
        );
    }

    /** @return array{Situation, Schools, Weights} what a board is asked for: the day, by which schools and weights */
    private function asked(Fields $in, Stand $stand): array
    {
        $day = $in->dayOrNull('date');
        $schools = $this->chosenSchools($in);
        $weights = $in->has('weights') ? Weights::read($in) : null;
        $crew = $stand->patch->ground->crew;

        return [
            $this->situations->situation($stand, $day),
            $this->situations->schools($crew, $schools),
            $weights ?? $this->situations->weights($crew, $stand),
        ];
    }

    /** @return array<string, string> */
    private function chosenSchools(Fields $in): array
    {
        return (new \Thicket\Situation\SituationReader($this->catalogue))->schools($in)->chosen;
    }
}
