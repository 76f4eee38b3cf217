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
 * A signed work record; a link of the crew's chain.
 *
 * @property string $id
 * @property string $crew_id
 * @property int $seq
 * @property string $sheet_id
 * @property string $step_id
 * @property string $patch_id
 * @property \Illuminate\Support\Carbon $worked_on
 * @property \Illuminate\Support\Carbon $judge_after
 * @property string $body canonical JSON
 * @property Seal|null $seal its link of the crew's chain
 * @property \Illuminate\Support\Carbon $signed_at
 * @property Patch $patch
 * @property Sheet $sheet
 * @property StandingTree|null $standing trees that it left dying on their feet
 * @property \Illuminate\Database\Eloquent\Collection<int, LookBack> $lookBacks
 * @property \Illuminate\Database\Eloquent\Collection<int, Amendment> $amendments in the order in which they came
 */
final class Record extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'crew_id',
        'seq',
        'sheet_id',
        'step_id',
        'patch_id',
        'worked_on',
        'judge_after',
        'body',
        'signed_by',
        'signed_at',
    ];

    /** @var array<string, string> */
    protected $casts = ['worked_on' => 'date', 'judge_after' => 'date', 'signed_at' => 'datetime', 'seq' => 'integer'];

    /** Its newest score; null while nobody has judged it. */
    public function scored(): ?LookBack
    {
        return $this->lookBacks->first(static fn(LookBack $look): bool => $look->scored);
    }

    /** Wanted trees that were given room, by the newest look that counted them. */
    public function released(): ?int
    {
        $counted = $this->lookBacks->first(static fn(LookBack $look): bool => is_int($look->body['released'] ?? null));

        return $counted === null ? null : (int) $counted->body['released'];
    }

    /** @return BelongsTo<Sheet, $this> */
    public function sheet(): BelongsTo
    {
        return $this->belongsTo(Sheet::class);
    }

    /** @return HasOne<Seal, $this> */
    public function seal(): HasOne
    {
        return $this->hasOne(Seal::class, 'subject_id')->where('kind', Sealed::Record->value);
    }

    /** @return array<array-key, mixed>|null what was signed; null where the body cannot be read any more */
    public function content(): ?array
    {
        $content = json_decode($this->body, true, 64);

        return is_array($content) ? $content : null;
    }

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @return HasMany<LookBack, $this> */
    public function lookBacks(): HasMany
    {
        return $this->hasMany(LookBack::class)->orderByDesc('looked_on')->orderByDesc('id');
    }

    /** @return HasOne<StandingTree, $this> */
    public function standing(): HasOne
    {
        return $this->hasOne(StandingTree::class);
    }

    /** @return HasMany<Amendment, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(Amendment::class)->orderBy('created_at')->orderBy('id');
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->where('crew_id', $user->crew_id);
    }
}
