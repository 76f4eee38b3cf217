<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Wire\HandbookWire;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;

/** The knowledge as pages, the search, and the reading of what people type. */
final class CatalogueController extends Controller
{
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

    public function search(Request $request, Catalogue $catalogue, HandbookWire $wire): JsonResponse
    {
        $in = $this->query($request);
        $words = mb_strtolower($in->text('q', 80) ?? '');
        $this->done($in);
        $hits = $wire->search($words);
        $stands = Stand::query()->ofCrew($this->user($request))->with(['patch.ground'])->get();
        foreach ($stands as $stand) {
            $name = $stand->species === null ? 'Unnamed plant' : $catalogue->species($stand->species)->commonName();
            if (str_contains(mb_strtolower("{$name} {$stand->patch->name} {$stand->patch->ground->name}"), $words)) {
                array_unshift($hits, ['kind' => 'stand', 'id' => $stand->id, 'name' => $name, 'detail' => "{$stand->patch->name}, {$stand->patch->ground->name}"]);
            }
        }

        return $this->json(['data' => array_slice($hits, 0, 20)]);
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
