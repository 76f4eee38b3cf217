<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A look at ground that was cleared, for as long as seed lasts in it.
 *
 * @property string $id
 * @property string $stand_id
 * @property \Illuminate\Support\Carbon $looked_on
 * @property string $found Review\Patrols::FOUND
 * @property int|null $count
 * @property string|null $text
 * @property string $made_by
 * @property User $maker
 */
final class Patrol extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $fillable = ['id', 'stand_id', 'looked_on', 'found', 'count', 'text', 'made_by'];

    /** @var array<string, string> */
    protected $casts = ['looked_on' => 'date', 'count' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
