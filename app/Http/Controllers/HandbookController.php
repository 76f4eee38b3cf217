<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Ground;
use App\Repositories\CrewRows;
use App\Resources\HandbookResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Comparison;
use Thicket\Identify\SpeciesFilter;

/** The handbook: all of it, one species, those that fit, two side by side. */
final class HandbookController extends Controller
{
    public function show(HandbookResource $resource): JsonResponse
    {
        return $this->json($resource->index());
    }

    public function species(
        Request $request,
        string $id,
        HandbookResource $resource,
        Catalogue $catalogue,
    ): JsonResponse {
        $this->mustExist($id, $catalogue);

        return $this->json(
            $resource->species($catalogue->species($id)) + [
                'listing' => $this->user($request)->crew->settings['listed'][$id] ?? null,
            ],
            200,
            $this->user($request)->crew->revision,
        );
    }

    /** Species by name, habit, setting and month; months are those of the ground where one is given. */
    public function find(Request $request, HandbookResource $resource, Catalogue $catalogue): JsonResponse
    {
        $in = $this->query($request);
        $name = $in->textOrNull('name', 80);
        $habit = $in->choiceOrNull('habit', $resource->habits());
        $setting = $in->choiceOrNull('setting', $catalogue->sites());
        $month = $in->has('month') ? $in->decimal('month', '1', '12') : null;
        $showing = $in->choiceOrNull('showing', SpeciesFilter::SHOWING) ?? 'flower';
        $groundId = $in->uuidOrNull('ground');
        if ($month !== null && preg_match('/^\d+$/D', $month) !== 1) {
            $in->fault('month', 'Give a month from 1 to 12.');
        }
        $this->done($in);
        $ground = $groundId === null ? null : CrewRows::ground($this->user($request), $groundId);
        $found = (new SpeciesFilter($catalogue, $resource->namesHere()))->find(
            $name,
            $habit,
            $setting,
            $month === null ? null : (int) $month,
            $showing,
            $ground?->seasonShift(),
        );

        return $this->json(['data' => $resource->briefs(...$found)]);
    }

    public function compare(Request $request, HandbookResource $resource, Catalogue $catalogue): JsonResponse
    {
        $in = $this->query($request);
        $ids = $in->text('species', 200);
        $this->done($in);

        return $this->json($resource->comparison(Comparison::of(explode(',', (string) $ids), $catalogue)));
    }

    private function mustExist(string $id, Catalogue $catalogue): void
    {
        $catalogue->hasSpecies($id) || throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
    }
}
