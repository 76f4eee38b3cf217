<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\JobClock;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Sends the job clock with each answer; the browser counts on from it (rulings B6). */
final readonly class JobNow
{
    public function __construct(private JobClock $clock) {}

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $response = $next($request);
        $response->headers->set('X-Job-Now', $this->clock->now()->format(\DATE_RFC3339));
        $response->headers->set('Cache-Control', 'no-store, private');

        return $response;
    }
}
