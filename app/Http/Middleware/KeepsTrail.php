<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Act;
use App\Models\User;
use App\Repositories\TrailNames;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Who did what: one line for each write that was done, with what it was done to as that was called then. Runs within
 * {@see InTurn}, so the line is kept with the work or not at all; an answer that is given again is no new act.
 */
final readonly class KeepsTrail
{
    /** Attribute of a request under which a controller leaves which settings it changed. */
    public const CHANGES = 'trail.changes';

    public function __construct(private TrailNames $names) {}

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        $route = $request->route();
        if (!($user instanceof User) || $route === null) {
            return $next($request);
        }
        // before the work: what is taken away has its name now
        $names = $this->names->of($route->parameters(), $request->getContent());
        $response = $next($request);
        $response->isSuccessful() &&
            Act::create([
                'crew_id' => $user->crew_id,
                'user_id' => $user->id,
                'act' => $request->method() . ' ' . substr($route->uri(), strlen('api/v1/')),
                'names' => $names,
                'changes' => $request->attributes->get(self::CHANGES),
                'at' => now(),
            ]);

        return $response;
    }
}
