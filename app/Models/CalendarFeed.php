<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The private address under which a calendar program reads one person's days; only the hash of it is kept.
 *
 * @property string $id
 * @property string $user_id
 * @property string $token_hash
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon|null $read_at
 * @property User $user
 */
final class CalendarFeed extends Model
{
    use HasUuids;

    protected $fillable = ['user_id', 'token_hash', 'read_at'];

    /** @var array<string, string> */
    protected $casts = ['read_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function hashOf(string $token): string
    {
        return hash('sha256', $token);
    }
}
