<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\LabelCardVersion;
use App\Models\Step;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Workflow\RecipeDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The label card that a step is mixed by. */
final class StepCardController extends Controller
{
    /**
     * The step goes over to the newest confirmed version of its card; its recipe is reckoned again and has to be saved
     * again.
     */
    public function update(Request $request, string $stepId, RecipeDesk $desk, StandResource $resource): JsonResponse
    {
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);
        $this->done($this->fields($request));
        $this->mustMatch(
            $request,
            $step->revision,
            fn(): array => $resource->recipe($stand, $step, $desk->solve($stand, $step)),
        );
        $newer = $step->cardVersion?->newer();
        $recipe = $step->recipe;
        foreach (Step::PARTNERS as $name) {
            $id = $recipe[$name] ?? null;
            $partner = is_string($id) ? LabelCardVersion::query()->find($id)?->newer() : null;
            $recipe = $partner === null ? $recipe : [$name => $partner->id] + ($recipe ?? []);
        }
        if ($newer === null && $recipe === $step->recipe) {
            throw new Stopped(409, 'The card of this step is the newest that is confirmed.');
        }
        if ($step->issuedSheet() !== null || $step->records->isNotEmpty()) {
            throw new Stopped(409, 'A sheet of this step is out; withdraw it first.');
        }
        $step->update([
            'label_card_version_id' => $newer->id ?? $step->label_card_version_id,
            'recipe' => $recipe,
            'recipe_basis' => null,
            'revision' => $step->revision + 1,
        ]);
        [$stand, $step] = CrewRows::mixedStep($this->user($request), $stepId);

        return $this->json($resource->recipe($stand, $step, $desk->solve($stand, $step)), 200, $step->revision);
    }
}
