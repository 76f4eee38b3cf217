<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;

/**
 * Who came in, was refused, changed what others may do, or carried data out: one JSON line each in security-DAY.log,
 * apart from the log of our own faults. Never a password, a token or what a record says.
 */
final class SecurityLog
{
    /** @param array<string, scalar|null> $more */
    public static function note(string $event, ?Request $request = null, array $more = []): void
    {
        $request ??= request();
        $user = $request->user();
        Log::channel('security')->info(
            $event,
            array_filter(
                [
                    'user' => $user instanceof User ? $user->id : null,
                    'crew' => $user instanceof User ? $user->crew_id : null,
                    'from' => $request->ip(),
                    'asked' => $request->method() . ' ' . mb_substr($request->path(), 0, 200),
                ] + $more,
                static fn(mixed $v): bool => $v !== null,
            ),
        );
    }
}
