<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Thicket\Learning\Lesson;

/**
 * What a signed record says of one figure that the crew plans with (core Learning\Lesson), and whether it counts.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $record_id
 * @property string $of what the record tells: mix, hands; figures of one are answered together
 * @property string $path of the figure in the table of coefficients
 * @property string $planned
 * @property string $seen
 * @property string $weight
 * @property string|null $asked why a person is asked: unusual, or amended after it was signed
 * @property bool|null $counts what that person said; null as long as nobody did
 * @property string|null $why
 * @property string|null $answered_by
 * @property \Illuminate\Support\Carbon|null $answered_at
 * @property Record $record
 * @property string $patch where it was asked for with that
 * @property \Illuminate\Support\Carbon $worked_on the same
 * @property User|null $answerer
 */
final class RecordLesson extends Model
{
    use HasUuids;

    public const UNUSUAL = 'unusual';
    public const AMENDED = 'amended';

    public $timestamps = false;

    protected $fillable = ['crew_id', 'record_id', 'of', 'path', 'planned', 'seen', 'weight', 'asked'];

    /** @var array<string, string> */
    protected $casts = ['counts' => 'boolean', 'answered_at' => 'datetime'];

    /** @return BelongsTo<Record, $this> */
    public function record(): BelongsTo
    {
        return $this->belongsTo(Record::class);
    }

    /** @return BelongsTo<User, $this> */
    public function answerer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'answered_by');
    }

    /** What was asked about counts once somebody said so; the rest by itself. */
    public function isCounted(): bool
    {
        return $this->counts ?? $this->asked === null;
    }

    /**
     * The same as a question to the database.
     *
     * @param Builder<self> $query
     */
    public function scopeCounted(Builder $query): void
    {
        $query->where(static function (Builder $said): void {
            $said->where('counts', true)->orWhere(static function (Builder $open): void {
                $open->whereNull('counts')->whereNull('asked');
            });
        });
    }

    /**
     * What a person is asked, once a record, with its patch and day.
     *
     * @param Builder<self> $query
     */
    public function scopeOpenByRecord(Builder $query, string $crewId): void
    {
        $query
            ->withCasts(['worked_on' => 'date'])
            ->join('records', 'records.id', '=', 'record_lessons.record_id')
            ->join('patches', 'patches.id', '=', 'records.patch_id')
            ->where('record_lessons.crew_id', $crewId)
            ->whereNotNull('asked')
            ->whereNull('counts')
            ->distinct()
            ->select(['records.id', 'records.worked_on', 'patches.name as patch']);
    }

    public function lesson(): Lesson
    {
        return new Lesson(
            $this->path,
            $this->planned,
            $this->seen,
            (float) $this->weight,
            $this->asked !== null,
            $this->of,
        );
    }
}
