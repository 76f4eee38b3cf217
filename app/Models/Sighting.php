<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Somebody saw a plant: at a point or on a patch, what of it, how sure, who confirmed. It may name a stand.
 *
 * @property string $id
 * @property string|null $stand_id
 * @property string $ground_id
 * @property string|null $patch_id
 * @property array<string, string|list<string>> $seen
 * @property list<array<string, mixed>> $ranked as it was shown then, never reckoned anew
 * @property list<array{pair: string, test?: string, points: string, by?: string}> $tests
 * @property string|null $species
 * @property string|null $confirmed_by
 * @property string|null $latitude
 * @property string|null $longitude
 * @property string|null $accuracy_m
 * @property \Illuminate\Support\Carbon $seen_at
 * @property string $made_by
 * @property string|null $observer
 * @property string $confidence
 * @property string|null $confirmer
 * @property \Illuminate\Support\Carbon|null $confirmed_on
 * @property string|null $remarks
 * @property int $revision
 * @property Ground $ground
 * @property Patch|null $patch
 * @property User $maker
 * @property \Illuminate\Database\Eloquent\Collection<int, Photo> $photos
 */
final class Sighting extends Model
{
    use HasUuids;

    public const CONFIDENCE = ['certain', 'likely', 'guess'];

    protected $fillable = [
        'id',
        'stand_id',
        'ground_id',
        'patch_id',
        'seen',
        'ranked',
        'tests',
        'species',
        'confirmed_by',
        'latitude',
        'longitude',
        'accuracy_m',
        'seen_at',
        'made_by',
        'observer',
        'confidence',
        'confirmer',
        'confirmed_on',
        'remarks',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'seen' => 'array',
        'ranked' => 'array',
        'tests' => 'array',
        'seen_at' => 'datetime',
        'confirmed_on' => 'date',
        'revision' => 'integer',
    ];

    /** @return BelongsTo<Ground, $this> */
    public function ground(): BelongsTo
    {
        return $this->belongsTo(Ground::class);
    }

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /** @return HasMany<Photo, $this> in the order they were added */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('created_at')->orderBy('id');
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereHas('ground', fn(Builder $ground) => $ground->where('crew_id', $user->crew_id));
    }

    /** @param Builder<self> $query */
    public function scopeShown(Builder $query): void
    {
        $query->with(['ground', 'patch', 'maker', 'photos']);
    }
}
