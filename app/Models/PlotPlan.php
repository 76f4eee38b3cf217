<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Where sample plots were put; the same seed gives the same plots again.
 *
 * @property string $id
 * @property string|null $zone_id
 * @property string $radius as typed
 * @property string $placement
 * @property int $seed
 * @property list<array{position: array{float, float}, inside: array{value: string, unit: string}}> $plots
 * @property \Illuminate\Support\Carbon $created_at
 */
final class PlotPlan extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'stand_id', 'zone_id', 'radius', 'placement', 'seed', 'plots', 'made_by'];

    /** @var array<string, string> */
    protected $casts = ['plots' => 'array', 'seed' => 'integer'];
}
