<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\JobClock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\SprayerKind;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Residue;

/**
 * Whatever a mix is put out with: backpack, boom, hand can, squirt bottle or wick.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $name
 * @property string $kind
 * @property string $tank_value
 * @property string $tank_unit
 * @property array{material?: string, solventProof?: bool, nozzle?: string, ratedFlow?: string}|null $details sizes as
 *     typed
 * @property string|null $gives_value as the newest calibration found
 * @property string|null $gives_unit
 * @property \Illuminate\Support\Carbon|null $calibrated_on
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property int $revision
 * @property \Illuminate\Database\Eloquent\Collection<int, Calibration> $calibrations newest first
 * @property \Illuminate\Database\Eloquent\Collection<int, SprayerUse> $uses newest first
 */
final class Sprayer extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'crew_id',
        'name',
        'kind',
        'tank_value',
        'tank_unit',
        'details',
        'gives_value',
        'gives_unit',
        'calibrated_on',
        'due_on',
    ];

    /** @var array<string, string> */
    protected $casts = ['calibrated_on' => 'date', 'due_on' => 'date', 'details' => 'array', 'revision' => 'integer'];

    public function tank(): Quantity
    {
        return Quantity::of($this->tank_value, Unit::from($this->tank_unit));
    }

    /** Mix per area, or of one stroke. */
    public function gives(): ?Quantity
    {
        return $this->gives_value === null || $this->gives_unit === null
            ? null
            : Quantity::of($this->gives_value, Unit::from($this->gives_unit));
    }

    /** The day it has to be calibrated again: as set, or a year after the last time. */
    public function dueOn(): ?\DateTimeInterface
    {
        return $this->due_on ?? $this->calibrated_on?->copy()->addYear();
    }

    /** @return HasMany<SprayerUse, $this> the newest first; of the same moment the one noted last */
    public function uses(): HasMany
    {
        return $this->hasMany(SprayerUse::class)->orderByDesc('at')->orderByDesc('id');
    }

    /** What is still in it, as far as anybody noted, by the days of a time zone. */
    public function residue(string $timeZone): ?Residue
    {
        $last = $this->relationLoaded('uses') ? $this->uses->first() : $this->uses()->first();

        return $last === null || $last->kind !== SprayerUse::FILLED || $last->held === null
            ? null
            : new Residue(
                $last->held['cards'],
                $last->held['carrier'],
                $last->held['told'],
                JobClock::dayOf($last->at, $timeZone),
            );
    }

    /** @param Builder<self> $query */
    public function scopeWithLastUse(Builder $query): void
    {
        $query->with(['uses' => static fn($uses) => $uses->limit(1), 'uses.author']);
    }

    /** @return HasMany<Calibration, $this> */
    public function calibrations(): HasMany
    {
        return $this->hasMany(Calibration::class)->orderByDesc('made_on')->orderByDesc('id');
    }

    /** What the crew usually puts this out with: the first that fits the method. */
    public static function usualFor(Crew $crew, Method $method): ?self
    {
        return $crew
            ->sprayers()
            ->get()
            ->first(static fn(self $s): bool => $method->isPutOutWith(SprayerKind::from($s->kind)));
    }
}
