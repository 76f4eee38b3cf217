<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\StepReader;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\CrewRows;
use App\Repositories\SituationRepository;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;

/** The way of working chosen for a stand. */
final class StepController extends Controller
{
    public function __construct(
        private readonly StepReader $reader,
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
        private readonly StandResource $resource,
    ) {}

    public function update(Request $request, string $standId): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
        $in = $this->fields($request);
        [
            'method' => $method,
            'active' => $active,
            'version' => $version,
            'schools' => $schools,
            'why' => $why,
        ] = $this->reader->read($in, $this->user($request));
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $this->resource->stand($stand));
        DB::transaction(function () use ($request, $stand, $method, $active, $version, $schools, $why): void {
            $step =
                $stand->steps->first(fn(Step $s): bool => $s->issuedSheet() === null && $s->records->isEmpty()) ??
                new Step(['patch_id' => $stand->patch_id, 'position' => $stand->steps->count() + 1]);
            $crew = $this->user($request)->crew;
            $sprayer =
                $active === null || $method === null
                    ? null
                    : Sprayer::usualFor($crew, $this->catalogue->method($method));
            $step->fill([
                'method' => $method,
                'active' => $active,
                'label_card_version_id' => $version?->id,
                'schools' => $this->situations->schools($crew, $schools)->chosen,
                'sprayer_id' => $sprayer?->id,
                'why' => $why,
                'recipe' => null,
                'recipe_basis' => null,
            ]);
            $step->revision = ($step->revision ?? 0) + 1;
            $step->save();
            $step->stands()->syncWithoutDetaching([$stand->id]);
            $stand->revision++;
            $stand->save();
        });
        $stand = CrewRows::stand($this->user($request), $standId);

        return $this->json($this->resource->stand($stand), 200, $stand->revision);
    }
}
