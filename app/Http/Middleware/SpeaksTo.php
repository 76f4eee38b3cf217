<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Text\Languages;
use App\Text\Sentences;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers in the language that the person chose; nobody who is signed in is asked by their browser's. */
final readonly class SpeaksTo
{
    public function __construct(private Sentences $sentences) {}

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        $this->sentences->speak(
            $user instanceof User ? $user->locale : (string) $request->getPreferredLanguage(Languages::all()),
        );

        return $next($request);
    }
}
