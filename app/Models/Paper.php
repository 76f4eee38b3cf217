<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A PDF that somebody asked for: made one after the other by the queue, kept for a day.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $asked_by
 * @property string $kind sheet or mixing-card
 * @property string $name of the file
 * @property string $digest of what is printed
 * @property string $state waiting, making, ready or failed
 * @property \Illuminate\Support\Carbon $created_at
 */
final class Paper extends Model
{
    use HasUuids;

    /** What is printed of all records of a year. */
    public const OF_A_YEAR = ['season', 'accounts', 'review'];
    public const KINDS = ['sheet', 'mixing-card', 're-entry-sign', 'season', 'accounts', 'review'];
    public const OPEN = ['waiting', 'making'];
    public const KEPT_HOURS = 24;

    protected $fillable = ['crew_id', 'asked_by', 'kind', 'name', 'digest', 'state'];

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->where('crew_id', $user->crew_id);
    }

    /** How many were asked for before this one and are not made yet. */
    public function ahead(): int
    {
        return in_array($this->state, self::OPEN, true)
            ? self::query()->whereIn('state', self::OPEN)->where('id', '<', $this->id)->count()
            : 0;
    }

    public function file(string $ending): string
    {
        return storage_path("app/papers/{$this->id}.{$ending}");
    }
}
