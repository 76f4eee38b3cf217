<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\ProtectedFeature;
use App\Repositories\CrewRows;
use App\Resources\GroundResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Shape;

/** Things to protect or to know of: drawn on a ground, or told of beside a patch with a typed distance. */
final class ProtectedFeatureController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue, private readonly GroundResource $resource) {}

    public function index(Request $request, string $groundId): JsonResponse
    {
        $ground = Ground::query()->ofCrew($this->user($request))->with('keepers')->findOrFail($groundId);

        return $this->json(['data' => $ground->keepers->map($this->resource->keeper(...))->values()->all()]);
    }

    public function store(Request $request, string $groundId): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->fields($request);
        $shape = $ground->shapes()->shape($in, 'shape');
        $in->has('shape') || $in->fault('shape', 'Draw where it is: a point, a line or an outline.');
        $in->has('distance') && $in->fault('distance', 'The map measures the distance.');
        $keeper = $this->create($in, $request, ['ground_id' => $ground->id] + $this->placed($shape));

        return $this->json($this->resource->keeper($keeper->refresh()), 201, $keeper->revision);
    }

    /** Known by words: how far somebody on site says it stands from the targets. */
    public function storeBesidePatch(Request $request, string $patchId): JsonResponse
    {
        $patch = Patch::query()->ofCrew($this->user($request))->findOrFail($patchId);
        $keeper = $this->create($this->fields($request), $request, [
            'ground_id' => $patch->ground_id,
            'patch_id' => $patch->id,
        ]);

        return $this->json($this->resource->keeper($keeper->refresh()), 201, $keeper->revision);
    }

    public function update(Request $request, string $keeperId): JsonResponse
    {
        $keeper = $this->find($request, $keeperId);
        $in = $this->fields($request);
        $shape = Ground::query()->findOrFail($keeper->ground_id)->shapes()->shape($in, 'shape');
        $read = (new SituationReader($this->catalogue))->keeper($in);
        $in->faults->throwIfAny();
        $this->mustMatch($request, $keeper->revision, fn(): array => $this->resource->keeper($keeper));
        $keeper
            ->forceFill(
                [
                    'kind' => $read->kind,
                    'name' => $read->name,
                    'body' => $this->body($request),
                    'revision' => $keeper->revision + 1,
                ] + $this->placed($shape),
            )
            ->save();

        return $this->json($this->resource->keeper($keeper), 200, $keeper->revision);
    }

    /** Put away, not deleted: sheets and records that name it keep their own copy. */
    public function destroy(Request $request, string $keeperId): JsonResponse
    {
        $keeper = $this->find($request, $keeperId);
        $this->mustMatch($request, $keeper->revision, fn(): array => $this->resource->keeper($keeper));
        $keeper->forceFill(['archived_at' => now(), 'revision' => $keeper->revision + 1])->save();

        return $this->json($this->resource->keeper($keeper));
    }

    /** @param array<string, mixed> $place */
    private function create(Fields $in, Request $request, array $place): ProtectedFeature
    {
        $id = $in->uuidOrNull('id');
        $keeper = (new SituationReader($this->catalogue))->keeper($in);
        $in->faults->throwIfAny();
        $this->mustBeNew($id, new ProtectedFeature());

        return ProtectedFeature::create(
            array_filter(['id' => $id]) +
                $place + ['kind' => $keeper->kind, 'name' => $keeper->name, 'body' => $this->body($request)],
        );
    }

    /** @return array<string, mixed> as given, without what has columns of its own */
    private function body(Request $request): array
    {
        /** @var array<string, mixed> $body */
        $body = (array) json_decode($request->getContent(), true);

        return array_diff_key($body, ['id' => 1, 'shape' => 1]);
    }

    /** @return array<string, mixed> */
    private function placed(?Shape $shape): array
    {
        return $shape === null
            ? []
            : ['shape' => $shape->toGeoJson()] + array_combine(['west', 'south', 'east', 'north'], $shape->box());
    }

    private function find(Request $request, string $id): ProtectedFeature
    {
        return ProtectedFeature::query()->ofCrew($this->user($request))->where('archived_at', null)->findOrFail($id);
    }
}
