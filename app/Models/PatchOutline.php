<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * One version of a patch's outline; never updated.
 *
 * @property string $id
 * @property array{type: string, coordinates: list<list<array{float, float}>>} $outline GeoJSON Polygon
 * @property string $area_m2
 */
final class PatchOutline extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $fillable = ['patch_id', 'valid_from', 'outline', 'area_m2', 'west', 'south', 'east', 'north'];

    protected $casts = ['outline' => 'array'];
}
