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
 * @property Ground $ground
 * @property \Illuminate\Database\Eloquent\Collection<int, Keeper> $keepers
 * @property \Illuminate\Database\Eloquent\Collection<int, Observation> $observations
 * @property PatchOutline|null $outline the newest
 */
final class Patch extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'ground_id', 'name', 'setting'];

    protected $casts = ['revision' => 'integer'];

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

    /** @return HasMany<Keeper, $this> */
    public function keepers(): HasMany
    {
        return $this->hasMany(Keeper::class)->orderBy('name');
    }

    /** @return HasMany<Stand, $this> */
    public function stands(): HasMany
    {
        return $this->hasMany(Stand::class)->orderBy('created_at')->orderBy('id');
    }

    /** @return HasMany<Observation, $this> */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class)->orderByDesc('at')->orderByDesc('id');
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereHas('ground', fn (Builder $ground) => $ground->where('crew_id', $user->crew_id));
    }
}
