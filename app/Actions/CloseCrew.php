<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Invite;
use App\Models\User;

/**
 * Ends a crew: nobody signs in any more, and what only served that is gone: addresses, passwords, sessions, tokens,
 * invitations, calendars, days away. Records with all they rest on stay: what is sealed is never
 * deleted by the application (rulings J29); who owns the installation may throw it away when the years are over.
 */
final readonly class CloseCrew
{
    public function __construct(private LeaveCrew $leave) {}

    public function __invoke(Crew $crew): void
    {
        foreach (User::query()->here()->where('crew_id', $crew->id)->get() as $user) {
            ($this->leave)($user);
        }
        $crew->daysAway()->delete();
        Invite::query()
            ->where('crew_id', $crew->id)
            ->update(['name' => null, 'email' => null, 'expires_at' => now()]);
        $crew->forceFill(['closed_at' => now()])->save();
    }
}
