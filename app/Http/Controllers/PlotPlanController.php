<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\PlotPlanReader;
use App\Models\PlotPlan;
use App\Repositories\CrewRows;
use App\Resources\CountResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Survey\Outline;
use Thicket\Survey\PlotPlan as Placing;

/** Where to put plots. */
final class PlotPlanController extends Controller
{
    public function __construct(private readonly PlotPlanReader $reader, private readonly CountResource $resource) {}

    /** Where to put plots; asked again with the same seed it gives the same. */
    public function store(Request $request, string $standId): JsonResponse
    {
        $stand = CrewRows::openStand($this->user($request), $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        [
            'plots' => $plots,
            'radius' => $radius,
            'typed' => $typed,
            'placement' => $placement,
        ] = $asked = $this->reader->read($in, $stand);
        ['seed' => $seed, 'zone' => $zone, 'outline' => $outline] = $asked;
        $this->done($in);
        $this->mustBeNew($id, new PlotPlan());
        if ($plots === null || $radius === null || $placement === null || $seed === null || $outline === null) {
            throw new \LogicException('A plot plan without its figures.');
        }
        $placed = Placing::place(Outline::trusted($outline['coordinates']), $plots, $radius, $placement, $seed);
        $plan = PlotPlan::create(
            array_filter(['id' => $id]) + [
                'stand_id' => $stand->id,
                'zone_id' => $zone?->id,
                'radius' => is_string($typed) ? $typed : $radius->asText(),
                'placement' => $placement,
                'seed' => $seed,
                'plots' => array_map(
                    static fn(array $p): array => ['position' => $p['position'], 'inside' => $p['inside']->toWire()],
                    $placed,
                ),
                'made_by' => $this->user($request)->id,
            ],
        );

        return $this->json($this->resource->plan($plan), 201);
    }
}
