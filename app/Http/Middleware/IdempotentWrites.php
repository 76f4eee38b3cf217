<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write sent twice with one Idempotency-Key is done once (rulings B16): the kept answer is given again; the same key
 * with another body is refused. Keys belong to a user. Runs within {@see InTurn}: the key is kept with the work or not
 * at all, so a write that died leaves no key behind, and of two at once the second finds the answer of the first.
 */
final readonly class IdempotentWrites
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $key = $request->header('Idempotency-Key');
        $user = $request->user();
        if (!is_string($key) || $user === null) {
            return $next($request);
        }
        if (preg_match('/^[A-Za-z0-9_-]{8,80}$/D', $key) !== 1) {
            return Problem::answer(422, null, [
                ['pointer' => '/Idempotency-Key', 'message' => 'Give 8 to 80 letters, digits or dashes.'],
            ]);
        }
        $hash = self::hash($request);
        $keys = DB::table('idempotency_keys');
        (clone $keys)
            ->where('created_at', '<', now()->subDays(config()->integer('thicket.idempotency_days')))
            ->limit(100)
            ->delete();
        $kept = (clone $keys)->where('user_id', $user->getAuthIdentifier())->where('key', $key)->first();
        if ($kept !== null) {
            return $kept->body_hash !== $hash
                ? Problem::answer(422, null, [
                    [
                        'pointer' => '/Idempotency-Key',
                        'message' => 'This key was used for another request; take a new one.',
                    ],
                ])
                : new JsonResponse(
                    $kept->response === '' ? null : $kept->response,
                    (int) $kept->status,
                    ['Idempotent-Replay' => 'true'] + ($kept->etag === null ? [] : ['ETag' => $kept->etag]),
                    0,
                    $kept->response !== '',
                );
        }
        $response = $next($request);
        // only what was done is kept; a refusal may be mended and sent again under the same key
        $response->isSuccessful() &&
            $keys->insert([
                'user_id' => $user->getAuthIdentifier(),
                'key' => $key,
                'body_hash' => $hash,
                'status' => $response->getStatusCode(),
                'response' => (string) $response->getContent(),
                'etag' => $response->headers->get('ETag'),
                'created_at' => now(),
            ]);

        return $response;
    }

    /**
     * What makes two requests the same: method, path, body; a form's files stand for its raw content, which PHP does
     * not keep.
     */
    private static function hash(Request $request): string
    {
        $files = array_map(
            static fn(mixed $file): string => $file instanceof UploadedFile && $file->isValid()
                ? (string) hash_file('sha256', $file->getPathname())
                : '',
            Arr::flatten($request->allFiles()),
        );

        return hash(
            'sha256',
            $request->method() . ' ' . $request->path() . "\n" . $request->getContent() . implode(',', $files),
        );
    }
}
