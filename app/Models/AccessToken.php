<?php

declare(strict_types=1);

namespace App\Models;

use Laravel\Sanctum\PersonalAccessToken;

/**
 * A token of somebody's script; only the hash of it is kept.
 *
 * @property int $id
 * @property string $name
 * @property list<string> $abilities
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon|null $last_used_at
 * @property \Illuminate\Support\Carbon|null $expires_at
 */
final class AccessToken extends PersonalAccessToken
{
    protected $table = 'personal_access_tokens';

    /** @return list<self> of one person, the oldest first */
    public static function of(User $user): array
    {
        /** @var list<self> */
        return self::query()
            ->where(['tokenable_type' => $user->getMorphClass(), 'tokenable_id' => $user->id])
            ->orderBy('id')
            ->get()
            ->all();
    }
}
