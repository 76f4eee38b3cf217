<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Stand;
use App\Models\Zone;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Survey\Outline;
use Thicket\Survey\PlotPlan as Placing;

/** How plots are to be laid out, and on which outline. */
final readonly class PlotPlanReader
{
    public function __construct(private ZoneReader $zones) {}

    /**
     * @return array{plots: int|null, radius: Quantity|null, typed: mixed, placement: string|null, seed: int|null,
     *     zone: Zone|null, outline: array<string, mixed>|null} typed: the radius as it was said
     */
    public function read(Fields $in, Stand $stand): array
    {
        $plots = $in->int('plots', 2, Placing::MOST_PLOTS);
        $typed = $in->raw('radius');
        $radius = $in->quantity('radius', Dimension::Length);
        $placement = $in->choice('placement', Placing::PLACEMENTS);
        $seed = $in->int('seed', 1, 2_000_000_000, random_int(1, 999_999));
        $zone = $this->zones->read($in, $stand);
        $outline = $zone !== null ? $zone->outline : $stand->patch->outline?->outline;
        if ($radius !== null && ($radius->isZero() || $radius->in(\Thicket\Measure\Unit::Metre)->isGreaterThan(50))) {
            $in->fault('radius', 'A plot has a radius above nought and at most 50 m.');
        }
        if ($outline === null) {
            $in->fault('plots', 'Draw the outline of the patch first.');
        }

        return [
            'plots' => $plots,
            'radius' => $radius,
            'typed' => $typed,
            'placement' => $placement,
            'seed' => $seed,
            'zone' => $zone,
            'outline' => $outline,
        ];
    }
}
