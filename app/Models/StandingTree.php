<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Trees that a signed record left dying on their feet, until somebody says that they are down.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $record_id
 * @property string $patch_id
 * @property int $count
 * @property array<string, mixed>|null $reach as it crosses the wire
 * @property bool $snags left on purpose
 * @property \Illuminate\Support\Carbon $since
 * @property \Illuminate\Support\Carbon|null $looked_on
 * @property string|null $looked_by
 * @property \Illuminate\Support\Carbon|null $down_on
 * @property User|null $looker
 * @property Patch $patch
 */
final class StandingTree extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $fillable = ['crew_id', 'record_id', 'patch_id', 'count', 'reach', 'snags', 'since'];

    /** @var array<string, string> */
    protected $casts = [
        'count' => 'integer',
        'reach' => 'array',
        'snags' => 'boolean',
        'since' => 'date',
        'looked_on' => 'date',
        'down_on' => 'date',
    ];

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @return BelongsTo<User, $this> */
    public function looker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'looked_by');
    }

    /** @param Builder<self> $query */
    public function scopeUp(Builder $query): void
    {
        $query->whereNull('standing_trees.down_on');
    }

    /** The day on which they are to be looked at again (rulings J34). */
    public function lookBy(): \Illuminate\Support\Carbon
    {
        return ($this->looked_on ?? $this->since)->copy()->addYear();
    }
}
