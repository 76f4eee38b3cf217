<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Address;
use App\Support\SecondFactor;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A way to a new password, once: a link that was mailed, or a code that a lead reads out. Only its hash is kept.
 *
 * @property string $id
 * @property string $user_id
 * @property string $token_hash
 * @property string|null $made_by the lead who gave a code; null for a link
 * @property \Illuminate\Support\Carbon|null $used_at
 * @property \Illuminate\Support\Carbon $expires_at
 * @property User $user
 */
final class PasswordReset extends Model
{
    use HasUuids;

    /** Minutes for which a link holds, and a code. */
    public const LINK_MINUTES = 60;
    public const CODE_MINUTES = 60 * 24;
    /** Of four letters each. */
    private const CODE_GROUPS = 3;

    protected $fillable = ['user_id', 'token_hash', 'made_by', 'used_at', 'expires_at'];

    /** @var array<string, string> */
    protected $casts = ['used_at' => 'datetime', 'expires_at' => 'datetime'];

    /** A code to be read out; codes and links of before hold no longer. */
    public static function code(User $user, ?User $by): string
    {
        $code = implode('-', array_map(static fn(): string => SecondFactor::word(4), range(1, self::CODE_GROUPS)));
        self::query()->where('user_id', $user->id)->delete();
        self::query()->create([
            'user_id' => $user->id,
            'token_hash' => self::hashOfCode((string) $user->email, $code),
            'made_by' => $by?->id,
            'expires_at' => now()->addMinutes(self::CODE_MINUTES),
        ]);

        return $code;
    }

    /** A code is short enough to be read out, so it holds only together with the account's address. */
    public static function hashOfCode(string $email, #[\SensitiveParameter] string $code): string
    {
        $plain = preg_replace('/[^a-z0-9]/', '', mb_strtolower($code)) ?? '';

        return hash('sha256', Address::folded($email) . "\n" . $plain);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @param Builder<self> $query not used, and not over */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('used_at')->where('expires_at', '>', now());
    }
}
