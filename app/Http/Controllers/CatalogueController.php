<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Models\Ground;
use App\Models\Stand;
use App\Repositories\CardNames;
use App\Resources\HandbookResource;
use App\Resources\StandResource;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Comparison;
use Thicket\Identify\SpeciesFilter;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;

/** The knowledge as pages, the search, and the reading of what people type. */
final class CatalogueController extends Controller
{
    private const MOST_HITS = 20;

    public function handbook(HandbookResource $wire): JsonResponse
    {
        return $this->json($wire->index());
    }

    public function species(Request $request, string $id, HandbookResource $wire, Catalogue $catalogue): JsonResponse
    {
        $this->mustExist($id, $catalogue);

        return $this->json(
            $wire->species($catalogue->species($id)) + [
                'listing' => $this->user($request)->crew->settings['listed'][$id] ?? null,
            ],
            200,
            $this->user($request)->crew->revision,
        );
    }

    /** Species by name, habit, setting and month; months are those of the ground where one is given. */
    public function find(Request $request, HandbookResource $wire, Catalogue $catalogue): JsonResponse
    {
        $in = $this->query($request);
        $name = $in->textOrNull('name', 80);
        $habit = $in->choiceOrNull('habit', $wire->habits());
        $setting = $in->choiceOrNull('setting', $catalogue->sites());
        $month = $in->has('month') ? $in->decimal('month', '1', '12') : null;
        $showing = $in->choiceOrNull('showing', SpeciesFilter::SHOWING) ?? 'flower';
        $groundId = $in->uuidOrNull('ground');
        if ($month !== null && preg_match('/^\d+$/D', $month) !== 1) {
            $in->fault('month', 'Give a month from 1 to 12.');
        }
        $this->done($in);
        $ground = $groundId === null ? null : Ground::query()->ofCrew($this->user($request))->findOrFail($groundId);
        $found = (new SpeciesFilter($catalogue))->find(
            $name,
            $habit,
            $setting,
            $month === null ? null : (int) $month,
            $showing,
            $ground?->seasonShift(),
        );

        return $this->json(['data' => $wire->briefs(...$found)]);
    }

    public function compare(Request $request, HandbookResource $wire, Catalogue $catalogue): JsonResponse
    {
        $in = $this->query($request);
        $ids = $in->text('species', 200);
        $this->done($in);

        return $this->json($wire->comparison(Comparison::of(explode(',', (string) $ids), $catalogue)));
    }

    /**
     * What the law where this crew works says of a plant (rulings J20): it is looked up by people, and noted here by a
     * lead.
     */
    public function putListing(Request $request, string $id, HandbookResource $wire, Catalogue $catalogue): JsonResponse
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

        return $this->species($request, $id, $wire, $catalogue);
    }

    private function mustExist(string $id, Catalogue $catalogue): void
    {
        $catalogue->hasSpecies($id) || throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
    }

    public function search(
        Request $request,
        HandbookResource $wire,
        StandResource $names,
        CardNames $cards,
    ): JsonResponse {
        $in = $this->query($request);
        $words = mb_strtolower($in->text('q', 80) ?? '');
        $this->done($in);
        $hits = $wire->search($words);
        // stands of the plants that were found, or of places called so; the newest few
        $species = array_column(array_filter($hits, static fn(array $h): bool => $h['kind'] === 'species'), 'id');
        $like = '%' . addcslashes($words, '%_\\') . '%';
        $stands = Stand::query()
            ->ofCrew($this->user($request))
            ->with(['patch.ground'])
            ->where('closed_at', null)
            ->where(
                fn(Builder $q) => $q
                    ->whereHas(
                        'patch',
                        fn(Builder $patch) => $patch
                            ->where('name', 'like', $like)
                            ->orWhereHas('ground', fn(Builder $ground) => $ground->where('name', 'like', $like)),
                    )
                    ->orWhereIn('species', $species),
            )
            ->orderByDesc('updated_at')
            ->orderByDesc('id')
            ->limit(self::MOST_HITS)
            ->get();
        foreach ($stands as $stand) {
            array_unshift($hits, [
                'kind' => 'stand',
                'id' => $stand->id,
                'name' => $names->nameOf($stand),
                'detail' => "{$stand->patch->name}, {$stand->patch->ground->name}",
            ]);
        }

        // a product may be known by the name it had before
        foreach (array_reverse($cards->called($this->user($request)->crew, $words)) as $card) {
            array_unshift($hits, [
                'kind' => 'card',
                'id' => $card['id'],
                'name' => $card['product'],
                'detail' => $card['detail'],
            ]);
        }

        return $this->json(['data' => array_slice($hits, 0, self::MOST_HITS)]);
    }

    public function reading(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $typed = $in->text('typed', 64);
        $wanted = $in->choiceOrNull(
            'dimension',
            array_map(static fn(Dimension $d): string => $d->value, Dimension::cases()),
        );
        $this->done($in);
        $dimension = $wanted === null ? null : Dimension::from($wanted);
        try {
            $quantity = str_contains((string) $typed, ':')
                ? Strength::parse((string) $typed)->percent()
                : Reading::parse((string) $typed, $dimension)->quantity;
        } catch (\Thicket\ThicketRefusal $e) {
            throw new \Thicket\Input\Refused([['pointer' => '/typed', 'message' => $e->getMessage()]]);
        }

        return $this->json(\App\Support\Format::quantity($quantity) ?? []);
    }
}
