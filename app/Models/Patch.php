<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property string $id
 * @property string $ground_id
 * @property string $name
 * @property string $setting a word of core/data/sites.yaml
 * @property int $revision
 * @property string|null $area_m2 of the newest outline
 * @property array<string, mixed>|null $properties of an imported file
 * @property \Illuminate\Support\Carbon|null $archived_at
 * @property string|null $archived_reason
 * @property Ground $ground
 * @property PatchOutline|null $outline the newest
 * @property \Illuminate\Database\Eloquent\Collection<int, PatchOutline> $outlines newest first
 * @property \Illuminate\Database\Eloquent\Collection<int, Zone> $zones in use
 * @property \Illuminate\Database\Eloquent\Collection<int, Stand> $stands
 */
final class Patch extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'ground_id', 'name', 'setting', 'properties'];

    /** @var array<string, string> */
    protected $casts = ['revision' => 'integer', 'properties' => 'array', 'archived_at' => 'datetime'];

    /** @return BelongsTo<Ground, $this> */
    public function ground(): BelongsTo
    {
        return $this->belongsTo(Ground::class);
    }

    /** @return HasOne<PatchOutline, $this> */
    public function outline(): HasOne
    {
        return $this->hasOne(PatchOutline::class)->latestOfMany(['valid_from', 'id']);
    }

    /** @return array{float, float, float, float}|null west, south, east, north of the newest outline */
    public function box(): ?array
    {
        $sides = array_map(fn(string $side): mixed => $this->getAttribute($side), ['west', 'south', 'east', 'north']);

        return in_array(null, $sides, true)
            ? null
            : array_map(static fn(mixed $s): float => is_numeric($s) ? (float) $s : 0.0, $sides);
    }

    /** @return HasMany<PatchOutline, $this> newest first */
    public function outlines(): HasMany
    {
        return $this->hasMany(PatchOutline::class)->orderByDesc('valid_from')->orderByDesc('id');
    }

    /** @return HasMany<Zone, $this> those in use */
    public function zones(): HasMany
    {
        return $this->hasMany(Zone::class)->whereNull('archived_at')->orderBy('name');
    }

    /** @return HasMany<ProtectedFeature, $this> those known by words and distance; drawn ones belong to the ground */
    public function keepers(): HasMany
    {
        return $this->hasMany(ProtectedFeature::class)->orderBy('name');
    }

    /** @return HasMany<Stand, $this> */
    public function stands(): HasMany
    {
        return $this->hasMany(Stand::class)->orderBy('created_at')->orderBy('id');
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereHas('ground', fn(Builder $ground) => $ground->where('crew_id', $user->crew_id));
    }
}
