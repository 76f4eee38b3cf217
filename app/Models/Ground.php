<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Thicket\Calendar\SeasonShift;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Survey\ShapeReader;

/**
 * @property string $id
 * @property string $crew_id
 * @property string $name
 * @property string $latitude decimal degrees, south negative
 * @property string $longitude
 * @property string $elevation_m
 * @property string $time_zone
 * @property int|null $hardiness_zone 1 to 13; weighs naming, never excludes
 * @property int $revision
 * @property Crew $crew
 * @property \Illuminate\Database\Eloquent\Collection<int, Patch> $patches
 * @property \Illuminate\Database\Eloquent\Collection<int, ProtectedFeature> $keepers drawn and in use
 */
final class Ground extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'crew_id',
        'name',
        'latitude',
        'longitude',
        'elevation_m',
        'time_zone',
        'hardiness_zone',
    ];

    /** @var array<string, string> */
    protected $casts = ['revision' => 'integer', 'hardiness_zone' => 'integer'];

    /** @return HasMany<Patch, $this> */
    public function patches(): HasMany
    {
        return $this->hasMany(Patch::class)->orderBy('name');
    }

    /** Reads shapes near it. */
    public function shapes(): ShapeReader
    {
        return new ShapeReader($this->position());
    }

    /** @return array{float, float} longitude, latitude */
    public function position(): array
    {
        return [(float) $this->longitude, (float) $this->latitude];
    }

    /** @return HasMany<ProtectedFeature, $this> those drawn on the map and in use */
    public function keepers(): HasMany
    {
        return $this->hasMany(ProtectedFeature::class)
            ->whereNotNull('shape')
            ->whereNull('archived_at')
            ->orderBy('name');
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->where('crew_id', $user->crew_id);
    }

    /** Which season it is here on a day, and how hard the winters are. */
    public function showing(\DateTimeImmutable $day): SeasonalVisibility
    {
        return new SeasonalVisibility($this->seasonShift(), $day, zone: $this->hardiness_zone);
    }

    public function seasonShift(): SeasonShift
    {
        return SeasonShift::forPlace($this->latitude, $this->elevation_m);
    }
}
