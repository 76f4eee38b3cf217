<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A line of a sprayer's own book: it was filled with something, or cleaned of it. The last line tells what it holds.
 *
 * @property string $id
 * @property string $sprayer_id
 * @property string $kind filled, cleaned
 * @property \Illuminate\Support\Carbon $at
 * @property array{cards: list<string>, carrier: string, told: string}|null $held what it was filled with
 * @property string|null $sheet_id whose field day it was cleaned on
 * @property string|null $note
 * @property string $noted_by
 * @property User $author
 */
final class SprayerUse extends Model
{
    use HasUuids;

    public const FILLED = 'filled';
    public const CLEANED = 'cleaned';

    public $timestamps = false;

    protected $fillable = ['id', 'sprayer_id', 'kind', 'at', 'held', 'sheet_id', 'note', 'noted_by'];

    /** @var array<string, string> */
    protected $casts = ['at' => 'datetime', 'held' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'noted_by');
    }
}
