<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A part of a patch that is counted by itself (scattered edge, solid core).
 *
 * @property string $id
 * @property string $patch_id
 * @property string $name
 * @property array{type: string, coordinates: list<list<array{float, float}>>} $outline GeoJSON Polygon
 * @property string $area_m2
 * @property \Illuminate\Support\Carbon|null $archived_at
 * @property Patch $patch
 */
final class Zone extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'patch_id', 'name', 'outline', 'area_m2'];

    /** @var array<string, string> */
    protected $casts = ['outline' => 'array', 'archived_at' => 'datetime'];

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereHas('patch.ground', fn(Builder $ground) => $ground->where('crew_id', $user->crew_id));
    }
}
