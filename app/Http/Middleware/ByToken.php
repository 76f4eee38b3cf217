<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\Stopped;
use App\Models\User;
use App\Support\TokenAbility;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a script may do with a token: read, or write too, within its owner's role. Accounts, people's sessions and
 * tokens, members and the crew itself are for people at a browser.
 */
final readonly class ByToken
{
    private const FOR_PEOPLE = ['api/v1/session*', 'api/v1/me*', 'api/v1/crew*'];

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->currentAccessToken() instanceof PersonalAccessToken) {
            $request->is(...self::FOR_PEOPLE) &&
                throw new Stopped(403, 'A token does not manage accounts or the crew: sign in with a browser.');
            $needed = $request->isMethodSafe() ? TokenAbility::READ : TokenAbility::WRITE;
            $user->tokenCan($needed) || throw new Stopped(403, "This token may not {$needed}.");
        }

        return $next($request);
    }
}
