<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\RecipeAskReader;
use App\Models\Step;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Workflow\RecipeDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The recipe of a step: as asked, and as kept. */
final class RecipeController extends Controller
{
    public function __construct(private readonly RecipeAskReader $reader, private readonly StandResource $resource) {}

    public function show(Request $request, string $stepId, RecipeDesk $desk): JsonResponse
    {
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $in = $this->query($request);
        $this->reader->read($in, $this->user($request), $step);
        $this->done($in);

        return $this->json($this->resource->recipe($stand, $step, $desk->solve($stand, $step)), 200, $step->revision);
    }

    public function update(Request $request, string $stepId, RecipeDesk $desk): JsonResponse
    {
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $in = $this->fields($request);
        $revision = $step->revision;
        $this->reader->read($in, $this->user($request), $step);
        $this->done($in);
        $this->mustMatch(
            $request,
            $revision,
            fn(): array => $this->resource->recipe($stand, $step, $desk->solve($stand, $step)),
        );
        $recipe = $desk->solve($stand, $step);
        if (!$recipe->isFinished()) {
            throw new \App\Exceptions\Stopped(409, 'This recipe is not finished; answer what is missing first.', [
                'recipe' => $this->resource->recipe($stand, $step, $recipe),
            ]);
        }
        $step->recipe = ['savedBy' => $this->user($request)->name] + ($step->recipe ?? []);
        $step->recipe_basis = $desk->basis($recipe);
        $step->revision = $revision + 1;
        $step->save();

        return $this->json($this->resource->recipe($stand, $step, $recipe), 200, $step->revision);
    }
}
