<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problem;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * First of all: a body that is too large for its route, or not of the kind that is read there, is refused before
 * anybody looks into it. nginx holds the same limits (deploy/nginx.conf.template); this one holds without it too.
 */
final readonly class BodyLimit
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        // a server that hands on a body in pieces says no length
        $length = $request->headers->get('Content-Length') ?? (string) strlen($request->getContent());
        $most = self::most($request->path());
        if (!ctype_digit((string) $length) || (int) $length > $most) {
            return Problem::answer(413, 'This is larger than ' . intdiv($most, 1000) . ' kB; send less at a time.');
        }
        $type = strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        $wanted = $request->is('api/v1/sightings/*/photos', 'api/v1/sheets/*/photos')
            ? 'multipart/form-data'
            : 'application/json';
        if ((int) $length > 0 && $request->is('api/*') && $type !== $wanted) {
            return Problem::answer(415, "Send the body as {$wanted}.");
        }

        return $next($request);
    }

    /** Bytes that a route takes. */
    public static function most(string $path): int
    {
        foreach (config()->array('thicket.large_bodies') as $pattern => $bytes) {
            if (preg_match("#^{$pattern}$#D", $path) === 1) {
                return (int) $bytes;
            }
        }

        return config()->integer('thicket.body_limit_bytes');
    }
}
