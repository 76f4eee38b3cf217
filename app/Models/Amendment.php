<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was added to a signed record: the record itself stays as it was signed.
 *
 * @property string $id
 * @property string $record_id
 * @property string $field which part of the record it puts right
 * @property string $text what holds instead
 * @property string $why
 * @property string $made_by
 * @property \Illuminate\Support\Carbon $created_at
 * @property User $author
 */
final class Amendment extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $table = 'record_amendments';
    protected $fillable = ['id', 'record_id', 'field', 'text', 'why', 'made_by'];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
