<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One target on one patch; the trail is a stand's.
 *
 * @property string $id
 * @property string $patch_id
 * @property string|null $species
 * @property bool $marked_unknown
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property string|null $closed_reason
 * @property array<string, int>|null $weights of this plan; null as the crew weighs
 * @property array<string, mixed>|null $outlook how its years ahead are looked at, as given
 * @property int $revision
 * @property string|null $person_id
 * @property Person|null $person who does what is next
 * @property bool $spreads it spreads from here
 * @property \Illuminate\Support\Carbon|null $promised_by to somebody, by that day
 * @property Patch $patch
 * @property Sighting|null $sighting the newest
 * @property Tally|null $tally the newest
 * @property \Illuminate\Database\Eloquent\Collection<int, Tally> $tallies newest first
 * @property \Illuminate\Database\Eloquent\Collection<int, Patrol> $patrols newest first
 * @property \Illuminate\Database\Eloquent\Collection<int, Step> $steps
 */
final class Stand extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'patch_id', 'species', 'marked_unknown'];

    /** @var array<string, string> */
    protected $casts = [
        'revision' => 'integer',
        'weights' => 'array',
        'outlook' => 'array',
        'marked_unknown' => 'boolean',
        'closed_at' => 'datetime',
        'spreads' => 'boolean',
        'promised_by' => 'date',
    ];

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasOne<Sighting, $this> */
    public function sighting(): HasOne
    {
        return $this->hasOne(Sighting::class)->latestOfMany('id');
    }

    /** @return HasOne<Tally, $this> */
    public function tally(): HasOne
    {
        return $this->hasOne(Tally::class)->latestOfMany(['visited_on', 'id']);
    }

    /** @return HasMany<Tally, $this> newest first */
    public function tallies(): HasMany
    {
        return $this->hasMany(Tally::class)->orderByDesc('visited_on')->orderByDesc('id');
    }

    /** @return HasMany<Patrol, $this> newest first */
    public function patrols(): HasMany
    {
        return $this->hasMany(Patrol::class)->orderByDesc('looked_on')->orderByDesc('id');
    }

    /** @return HasMany<PlotPlan, $this> newest first */
    public function plotPlans(): HasMany
    {
        return $this->hasMany(PlotPlan::class)->orderByDesc('created_at')->orderByDesc('id');
    }

    /** @return BelongsToMany<Step, $this> */
    public function steps(): BelongsToMany
    {
        return $this->belongsToMany(Step::class)->orderBy('position')->orderBy('steps.id');
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereHas('patch.ground', fn(Builder $ground) => $ground->where('crew_id', $user->crew_id));
    }

    /**
     * Neither closed nor on a patch that was put away.
     *
     * @param Builder<self> $query
     */
    public function scopeInHand(Builder $query): void
    {
        $query
            ->where('closed_at', null)
            ->whereHas('patch', static fn(Builder $patch) => $patch->where('archived_at', null));
    }

    /**
     * What a line of a list needs; all that a station shows comes with scopeWithTrail.
     *
     * @param Builder<self> $query
     */
    public function scopeWithLine(Builder $query): void
    {
        $query->with([
            'patch.ground.crew',
            'patch.outline:patch_outlines.id,patch_outlines.patch_id',
            'person',
            'sighting',
            'tally',
            'steps.sheets',
            'steps.records.lookBacks',
            'patrols',
        ]);
    }

    /**
     * What a stand is judged by.
     *
     * @param Builder<self> $query
     */
    public function scopeToJudge(Builder $query): void
    {
        $query->with(['patch.ground', 'patch.outline', 'tallies.zone', 'steps.records.lookBacks']);
    }

    /** @param Builder<self> $query */
    public function scopeWithTrail(Builder $query): void
    {
        $query->with([
            'patch.ground.crew.people',
            'patch.outline',
            'patch.zones',
            'person',
            'sighting',
            'tally',
            'tallies.zone',
            'steps.cardVersion.card',
            'steps.sprayer',
            'steps.sheets',
            'steps.records.lookBacks',
            'patrols.maker',
        ]);
    }

    /** Steps that were never issued nor worked give way to another plan; what was issued or signed stays. */
    public function dropOpenSteps(): void
    {
        foreach ($this->steps as $step) {
            if ($step->sheets->isEmpty() && $step->records->isEmpty() && $step->stands()->count() === 1) {
                $step->stands()->detach();
                $step->delete();
            }
        }
    }
}
