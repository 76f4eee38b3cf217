<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The days of one job in the plan that is followed.
 *
 * @property string $step_id
 * @property string $crew_id
 * @property \Illuminate\Support\Carbon $first_on
 * @property list<array{day: string, people: list<string>, minutes: int}> $parts
 * @property bool $pinned
 * @property Step $step
 */
final class Placement extends Model
{
    protected $primaryKey = 'step_id';
    protected $keyType = 'string';
    public $incrementing = false;

    protected $fillable = ['step_id', 'crew_id', 'first_on', 'parts', 'pinned'];

    /** @var array<string, string> */
    protected $casts = ['first_on' => 'date', 'parts' => 'array', 'pinned' => 'boolean'];

    /** @return BelongsTo<Step, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(Step::class);
    }
}
