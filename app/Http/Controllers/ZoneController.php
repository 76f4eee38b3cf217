<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Patch;
use App\Models\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Survey\OutlineEdit;

/** Zones of a patch, to be counted apart. */
final class ZoneController extends PatchChanges
{
    private const MOST_ZONES = 12;

    /** Zones to be counted apart: an edge of some width and the core within, or one that was drawn. */
    public function store(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->findWithOutline($request, $patchId);
        $in = $this->fields($request);
        $width = $in->quantityOrNull('edgeWidth', Dimension::Length);
        $name = $width === null ? $in->text('name', 80) : $in->textOrNull('name', 80);
        $drawn = $patch->ground->shapes()->outline($in, 'outline');
        $zones = [];
        if ($width === null && $drawn === null && !$in->has('outline')) {
            $in->fault('edgeWidth', 'Give the width of the edge, or draw the zone.');
        }
        if ($width !== null && $width->isZero()) {
            $in->fault('edgeWidth', 'An edge is wider than nothing.');
        } elseif ($width !== null) {
            try {
                foreach (OutlineEdit::edgeAndCore($this->current($patch), $width) as $kind => $outline) {
                    $zones[$kind === 'edge' ? 'Edge' : 'Core'] = $outline;
                }
            } catch (Refused $e) {
                $in->fault('edgeWidth', $e->faults[0]['message']);
            }
        } elseif ($drawn !== null && $name !== null) {
            $zones[$name] = $drawn->outline;
        }
        if ($patch->zones->count() + count($zones) > self::MOST_ZONES) {
            $in->fault('name', 'A patch has at most ' . self::MOST_ZONES . ' zones; split it instead.');
        }
        $this->done($in);
        $this->change($patch, static function () use ($patch, $zones): void {
            foreach ($zones as $name => $outline) {
                Zone::create([
                    'patch_id' => $patch->id,
                    'name' => $name,
                    'outline' => $outline->toGeoJson(),
                    'area_m2' => $outline->area()->toWire()['value'],
                ]);
            }
        });

        return $this->answer($this->find($request, $patchId), 201);
    }

    /** Put away, not deleted: counts made in it keep it. */
    public function destroy(Request $request, string $zoneId): JsonResponse
    {
        $zone = Zone::query()->ofCrew($this->user($request))->where('archived_at', null)->findOrFail($zoneId);
        $zone->forceFill(['archived_at' => now()])->save();

        return $this->answer($this->find($request, $zone->patch_id));
    }
}
