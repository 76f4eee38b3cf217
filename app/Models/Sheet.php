<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Wording;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Thicket\FieldDay\FieldEvent;
use Thicket\FieldDay\FieldLog;

/**
 * An issued job sheet: a snapshot that is never changed.
 *
 * @property string $id
 * @property string $crew_id
 * @property int $number
 * @property string $issued_by
 * @property array<string, mixed> $snapshot as it was issued, with what differs in other languages; {@see told()}
 * @property \Illuminate\Support\Carbon $issued_at
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 * @property \Illuminate\Database\Eloquent\Collection<int, Step> $steps
 * @property \Illuminate\Database\Eloquent\Collection<int, FieldNote> $fieldNotes in the order in which they came
 * @property string|null $withdrawn_by
 * @property string|null $withdrawn_why
 */
final class Sheet extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'crew_id',
        'number',
        'snapshot',
        'issued_by',
        'issued_at',
        'withdrawn_at',
        'withdrawn_by',
        'withdrawn_why',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'snapshot' => 'array',
        'issued_at' => 'datetime',
        'withdrawn_at' => 'datetime',
        'number' => 'integer',
    ];

    /** @return BelongsToMany<Step, $this> */
    public function steps(): BelongsToMany
    {
        return $this->belongsToMany(Step::class);
    }

    /** @return HasMany<FieldNote, $this> */
    public function fieldNotes(): HasMany
    {
        return $this->hasMany(FieldNote::class)->orderBy('number');
    }

    /**
     * What the sheet says, in that language where it was issued in it too; else, and without one, as it was issued.
     *
     * @return array<string, mixed> openapi Sheet/snapshot
     */
    public function told(?string $locale = null): array
    {
        $snapshot = $this->snapshot;
        $others = $snapshot['otherLanguages'] ?? [];
        unset($snapshot['otherLanguages']);
        $differing = is_array($others) ? $others[$locale ?? ''] ?? null : null;

        return is_array($differing) ? Wording::over($snapshot, $differing) : $snapshot;
    }

    /** What all notes of its day tell together. */
    public function fieldLog(): FieldLog
    {
        return FieldLog::of($this->fieldNotes->map(static fn(FieldNote $n): FieldEvent => $n->event())->all());
    }

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->where('crew_id', $user->crew_id);
    }
}
