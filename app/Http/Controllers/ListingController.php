<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Resources\HandbookResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Thicket\Catalogue\Catalogue;

/** What the law of the place says of a species. */
final class ListingController extends Controller
{
    /**
     * What the law where this crew works says of a plant (rulings J20): it is looked up by people, and noted here by a
     * lead.
     */
    public function update(Request $request, string $id, HandbookResource $resource, Catalogue $catalogue): JsonResponse
    {
        Gate::authorize('lead');
        $this->mustExist($id, $catalogue);
        $crew = $this->user($request)->crew;
        $in = $this->fields($request);
        $listing = $in->choice('listing', ['protected', 'regulated', 'none']);
        $this->done($in);
        $this->mustMatch(
            $request,
            $crew->revision,
            fn(): array => ['listing' => $crew->settings['listed'][$id] ?? null],
        );
        SecurityLog::note('listing changed', $request, ['species' => $id, 'listing' => $listing]);
        $settings = $crew->settings;
        $settings['listed'] = array_filter(
            [$id => $listing === 'none' ? null : (string) $listing] + ($settings['listed'] ?? []),
        );
        $crew->forceFill(['settings' => $settings, 'revision' => $crew->revision + 1])->save();

        return $this->species($request, $id, $resource, $catalogue);
    }

    private function mustExist(string $id, Catalogue $catalogue): void
    {
        $catalogue->hasSpecies($id) || throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
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
}
