<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Repositories\CardNames;
use App\Resources\HandbookResource;
use App\Resources\StandResource;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Anything by any of its names. */
final class SearchController extends Controller
{
    private const MOST_HITS = 20;

    public function index(
        Request $request,
        HandbookResource $resource,
        StandResource $names,
        CardNames $cards,
    ): JsonResponse {
        $in = $this->query($request);
        $words = mb_strtolower($in->text('q', 80) ?? '');
        $this->done($in);
        $hits = $resource->search($words);
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
}
