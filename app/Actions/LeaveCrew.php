<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CalendarFeed;
use App\Models\PasswordReset;
use App\Models\User;
use App\Repositories\OpenSessions;
use Illuminate\Support\Str;

/** Somebody leaves: out at once and everywhere. Their name stays with what they did, and nothing else. */
final readonly class LeaveCrew
{
    public function __invoke(User $user): void
    {
        OpenSessions::endAll($user);
        $user->tokens()->delete();
        CalendarFeed::query()->where('user_id', $user->id)->delete();
        PasswordReset::query()->where('user_id', $user->id)->delete();
        $user->update([
            'email' => null,
            'password' => Str::random(40),
            'second_factor' => null,
            'second_factor_at' => null,
            'second_factor_step' => null,
            'recovery_codes' => null,
            'gone_at' => now(),
        ]);
    }
}
