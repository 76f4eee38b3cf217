<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Repositories\KeptWork;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A reading that costs is worked out once while nothing of the crew changes ({@see KeptWork}). Who has the answer still
 * sends its tag and gets 304. A request with Cache-Control: no-cache is worked out anew.
 */
final readonly class KeptAnswers
{
    public function __construct(private KeptWork $kept) {}

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if (!($user instanceof User)) {
            return $next($request);
        }
        $tag = $this->tag($request, $user);
        $anew = $request->headers->hasCacheControlDirective('no-cache');
        $has = str_contains(implode(' ', $request->getETags()), "\"{$tag}\"");
        if ($has && !$anew) {
            return new Response('', 304, ['ETag' => "W/\"{$tag}\""]);
        }
        $kept = $anew ? null : $this->kept->read($tag);
        if (is_array($kept)) {
            return new JsonResponse($kept['body'], 200, ['ETag' => $kept['etag']], json: true);
        }
        $response = $next($request);
        if ($response->getStatusCode() === 200 && $response instanceof JsonResponse) {
            $response->headers->has('ETag') || $response->headers->set('ETag', "W/\"{$tag}\"");
            $this->kept->keep($tag, [
                'body' => $response->getContent(),
                'etag' => $response->headers->get('ETag'),
            ]);
        }

        return $response;
    }

    /** The address as it was asked, in which language, and who asks: a role or a crew may have changed since. */
    private function tag(Request $request, User $user): string
    {
        $asked = implode("\n", [$user->id, $user->role, $user->locale, $request->server->get('REQUEST_URI')]);

        return $this->kept->state("answer {$asked}", $user->crew);
    }
}
