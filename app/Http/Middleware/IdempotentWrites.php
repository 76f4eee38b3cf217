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
 * with another body is refused. Keys belong to a user.
 */
final readonly class IdempotentWrites
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $key = $request->header('Idempotency-Key');
        $user = $request->user();
        if (!is_string($key) || $user === null || !in_array($request->method(), ['POST', 'PUT', 'PATCH', 'DELETE'], true)) {
            return $next($request);
        }
        if (preg_match('/^[A-Za-z0-9_-]{8,80}$/', $key) !== 1) {
            return Problem::answer(422, null, [['pointer' => '/Idempotency-Key', 'message' => 'Give 8 to 80 letters, digits or dashes.']]);
        }
        // a form with files has no raw content in PHP: its files stand for it
        $files = array_map(static fn (mixed $file): string => $file instanceof UploadedFile && $file->isValid() ? (string) hash_file('sha256', $file->getPathname()) : '', Arr::flatten($request->allFiles()));
        $hash = hash('sha256', $request->method() . ' ' . $request->path() . "\n" . $request->getContent() . implode(',', $files));
        DB::table('idempotency_keys')->where('created_at', '<', now()->subDays(config()->integer('thicket.idempotency_days')))->delete();
        // the row is taken first: of two at once, the second waits on the unique key and then sees the first
        $taken = DB::table('idempotency_keys')->insertOrIgnore(['user_id' => $user->getAuthIdentifier(), 'key' => $key, 'body_hash' => $hash, 'created_at' => now()]);
        if ($taken === 0) {
            $kept = DB::table('idempotency_keys')->where('user_id', $user->getAuthIdentifier())->where('key', $key)->first();

            return match (true) {
                $kept === null || $kept->body_hash !== $hash => Problem::answer(422, null, [['pointer' => '/Idempotency-Key', 'message' => 'This key was used for another request; take a new one.']]),
                $kept->status === null => Problem::answer(409, 'The same request is being worked on; ask again in a moment.'),
                default => new JsonResponse($kept->response === '' ? null : $kept->response, (int) $kept->status, ['Idempotent-Replay' => 'true'], 0, $kept->response !== ''),
            };
        }
        $response = $next($request);
        $of = DB::table('idempotency_keys')->where('user_id', $user->getAuthIdentifier())->where('key', $key);
        // only what was done is kept; a refusal may be mended and sent again under the same key
        $response->isSuccessful() ? $of->update(['status' => $response->getStatusCode(), 'response' => (string) $response->getContent()]) : $of->delete();

        return $response;
    }
}
