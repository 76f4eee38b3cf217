<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** What every way in has in common. */
trait EntersSession
{
    /** A session is a browser's, of this very address: a call from elsewhere has none to enter, end or confirm. */
    private function mustBeBrowser(Request $request): void
    {
        $request->hasSession() ||
            throw new Stopped(
                400,
                'Sessions are for pages of this address: send its Origin or Referer with the request.',
            );
    }

    /** Nothing of whoever was here before stays: not their confirmed password, not their session's id or token. */
    private function enter(Request $request, User $user): User
    {
        $request->session()->invalidate();
        Auth::guard('web')->login($user);
        $request->session()->regenerateToken();
        SecurityLog::note('signed in', $request, ['user' => $user->id, 'crew' => $user->crew_id]);

        return $user;
    }
}
