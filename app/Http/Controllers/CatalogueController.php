<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Wire\HandbookWire;
use App\Wire\StandWire;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;

/** The knowledge as pages, the search, and the reading of what people type. */
final class CatalogueController extends Controller
{
    private const MOST_HITS = 20;

    public function handbook(HandbookWire $wire): JsonResponse
    {
        return $this->json($wire->index());
    }

    public function species(string $id, HandbookWire $wire, Catalogue $catalogue): JsonResponse
    {
        if (!$catalogue->hasSpecies($id)) {
            throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
        }

        return $this->json($wire->species($catalogue->species($id)));
    }

    public function search(Request $request, HandbookWire $wire, StandWire $names): JsonResponse
    {
        $in = $this->query($request);
        $words = mb_strtolower($in->text('q', 80) ?? '');
        $this->done($in);
        $hits = $wire->search($words);
        // stands of the plants that were found, or of places called so; the newest few
        $species = array_column(array_filter($hits, static fn (array $h): bool => $h['kind'] === 'species'), 'id');
        $like = '%' . addcslashes($words, '%_\\') . '%';
        $stands = Stand::query()->ofCrew($this->user($request))->with(['patch.ground'])->where('closed_at', null)
            ->where(fn (Builder $q) => $q->whereHas('patch', fn (Builder $patch) => $patch->where('name', 'like', $like)->orWhereHas('ground', fn (Builder $ground) => $ground->where('name', 'like', $like)))->orWhereIn('species', $species))
            ->orderByDesc('updated_at')->orderByDesc('id')->limit(self::MOST_HITS)->get();
        foreach ($stands as $stand) {
            array_unshift($hits, ['kind' => 'stand', 'id' => $stand->id, 'name' => $names->nameOf($stand), 'detail' => "{$stand->patch->name}, {$stand->patch->ground->name}"]);
        }

        return $this->json(['data' => array_slice($hits, 0, self::MOST_HITS)]);
    }

    public function reading(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $typed = $in->text('typed', 64);
        $wanted = $in->choiceOrNull('dimension', array_map(static fn (Dimension $d): string => $d->value, Dimension::cases()));
        $this->done($in);
        $dimension = $wanted === null ? null : Dimension::from($wanted);
        try {
            $quantity = str_contains((string) $typed, ':') ? Strength::parse((string) $typed)->percent() : Reading::parse((string) $typed, $dimension)->quantity;
        } catch (\Thicket\ThicketRefusal $e) {
            throw new \Thicket\Input\Refused([['pointer' => '/typed', 'message' => $e->getMessage()]]);
        }

        return $this->json(\App\Wire\Wire::quantity($quantity) ?? []);
    }
}
