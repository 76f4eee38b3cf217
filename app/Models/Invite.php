<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link by which one person becomes a member, once; only the hash of it is kept.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $role lead, member or viewer
 * @property string|null $name
 * @property string|null $email
 * @property string|null $person_id of the Shed, who is meant
 * @property string $token_hash
 * @property string $made_by
 * @property string|null $used_by
 * @property \Illuminate\Support\Carbon|null $used_at
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon $created_at
 * @property Crew $crew
 * @property User $maker
 */
final class Invite extends Model
{
    use HasUuids;

    /** Days for which a link holds. */
    public const DAYS = 14;

    protected $fillable = [
        'id',
        'crew_id',
        'role',
        'name',
        'email',
        'person_id',
        'token_hash',
        'made_by',
        'used_by',
        'used_at',
        'expires_at',
    ];

    /** @var array<string, string> */
    protected $casts = ['used_at' => 'datetime', 'expires_at' => 'datetime'];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /** @param Builder<self> $query not used, and not over */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('used_at')->where('expires_at', '>', now());
    }
}
