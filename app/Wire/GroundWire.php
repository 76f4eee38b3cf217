<?php

declare(strict_types=1);

namespace App\Wire;

use App\Models\Ground;
use App\Models\Keeper;
use App\Models\Patch;
use App\Text\Sentences;
use App\Trail\Assembler;

final readonly class GroundWire
{
    public function __construct(private Sentences $sentences, private Assembler $assembler)
    {
    }

    /**
     * @param array<string, list<array<string, mixed>>> $lines stands by patch
     *
     * @return array<string, mixed>
     */
    public function ground(Ground $ground, array $lines): array
    {
        return [
            'id' => $ground->id, 'name' => $ground->name, 'latitude' => $ground->latitude, 'longitude' => $ground->longitude,
            'elevation' => Wire::quantity(\Thicket\Measure\Quantity::of($ground->elevation_m, \Thicket\Measure\Unit::Metre)), 'timeZone' => $ground->time_zone,
            'shiftDays' => $ground->seasonShift()->springDays->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(),
            'patches' => $ground->patches->map(fn (Patch $patch): array => $this->brief($patch) + ['keepers' => $patch->keepers->map(static fn (Keeper $k): string => $k->name)->values()->all(), 'stands' => $lines[$patch->id] ?? []])->values()->all(),
        ];
    }

    /** @return array<string, mixed> */
    public function patch(Patch $patch): array
    {
        return $this->brief($patch) + [
            'groundId' => $patch->ground_id, 'ground' => $patch->ground->name, 'revision' => $patch->revision,
            'keepers' => array_map(fn (\Thicket\Methods\Keeper $k): array => [
                'kind' => $k->kind, 'kindName' => $this->sentences->name("keeper.{$k->kind}"), 'name' => $k->name, 'species' => $k->speciesId,
                'distance' => Wire::quantity($k->distance), 'crownRadius' => Wire::quantity($k->crownRadius), 'height' => Wire::quantity($k->height), 'downhill' => $k->downhill,
            ], $this->assembler->keepers($patch)),
        ];
    }

    /** @return array<string, mixed> */
    private function brief(Patch $patch): array
    {
        return [
            'id' => $patch->id, 'name' => $patch->name, 'setting' => ['id' => $patch->setting, 'name' => $this->sentences->name("site.{$patch->setting}")],
            'area' => Wire::quantity($this->assembler->area($patch)), 'outline' => $patch->outline?->outline,
        ];
    }
}
