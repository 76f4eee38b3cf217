<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Thicket\Safety\DutyKind;
use Thicket\Safety\Settled;

/**
 * What was settled with others before a job: a paper for a ground or patch, a notice about one step. Put right by
 * taking it back and recording another.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $ground_id
 * @property string|null $patch_id null: the whole ground
 * @property string|null $step_id of a notice
 * @property DutyKind $kind
 * @property string $state Settled::STATES
 * @property string|null $keeper name of what it is about
 * @property string $who who gave it, who was told, who says that none is needed
 * @property string|null $number
 * @property bool $boundary_checked somebody walked it
 * @property \Illuminate\Support\Carbon $on given, told; of what is under way: the day by which
 * @property \Illuminate\Support\Carbon|null $until
 * @property string|null $text
 * @property string $noted_by
 * @property \Illuminate\Support\Carbon $noted_at
 * @property \Illuminate\Support\Carbon|null $taken_back_at
 * @property string|null $taken_back_by
 * @property User $author
 * @property User|null $taker who took it back
 */
final class SettledDuty extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $fillable = [
        'id',
        'crew_id',
        'ground_id',
        'patch_id',
        'step_id',
        'kind',
        'state',
        'keeper',
        'who',
        'number',
        'boundary_checked',
        'on',
        'until',
        'text',
        'noted_by',
        'noted_at',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => DutyKind::class,
        'boundary_checked' => 'boolean',
        'on' => 'date',
        'until' => 'date',
        'noted_at' => 'datetime',
        'taken_back_at' => 'datetime',
    ];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'noted_by');
    }

    /**
     * What is recorded for a step: of its ground, of its patch, of itself; the newest first, what was taken back too.
     *
     * @param Builder<self> $query
     */
    public function scopeForStep(Builder $query, Step $step, Patch $patch): void
    {
        $query
            ->where('ground_id', $patch->ground_id)
            ->where(fn(Builder $q) => $q->whereNull('patch_id')->orWhere('patch_id', $patch->id))
            ->where(fn(Builder $q) => $q->whereNull('step_id')->orWhere('step_id', $step->id))
            ->latest('noted_at')
            ->latest('id');
    }

    /** @return BelongsTo<User, $this> */
    public function taker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'taken_back_by');
    }

    public function told(): Settled
    {
        return new Settled($this->kind, $this->state, $this->keeper, $this->until?->toDateTimeImmutable());
    }
}
