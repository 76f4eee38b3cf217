<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Repositories\SituationRepository;
use App\Resources\ChoiceResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Assess\Board;
use Thicket\Assess\CostCurve;
use Thicket\Assess\Row;
use Thicket\Assess\SideBySide;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;

/** Rows side by side, and how the cost of one runs. */
final class ComparisonController extends Controller
{
    private const MOST_COLUMNS = 4;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
    ) {}

    public function show(Request $request, string $standId, ChoiceResource $resource): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
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

        return $this->json($resource->comparison($sides));
    }

    public function costs(Request $request, string $standId, ChoiceResource $resource): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->query($request);
        $rows = $this->rows($stand, [$in->text('row', 200) ?? ''], $in, 'row');
        $this->done($in);

        return $this->json(
            $resource->costs($rows[0]->option, CostCurve::of($this->situations->situation($stand), $rows[0]->option)),
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
}
