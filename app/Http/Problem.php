<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\Stopped;
use App\Text\Refusals;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Thicket\Input\Refused;
use Thicket\ThicketRefusal;

/**
 * Every error leaves as problem+json (RFC 9457), with pointers where fields are at fault; details of our bugs stay in
 * the log.
 */
final class Problem
{
    private const TITLES = [
        400 => 'The request cannot be read.',
        401 => 'Sign in first.',
        403 => 'You may not do this.',
        404 => 'There is nothing here.',
        405 => 'This cannot be done here.',
        409 => 'This cannot be done now.',
        412 => 'Somebody changed this meanwhile.',
        413 => 'This is too large.',
        415 => 'This is sent in another form than is read here.',
        419 => 'The page is too old; load it again.',
        422 => 'Some of this has to be put right.',
        428 => 'Say which version you changed (If-Match).',
        429 => 'Too many tries; wait a minute.',
        500 => 'Something broke on our side; it has been written down.',
    ];

    public static function for(\Throwable $e): JsonResponse
    {
        if ($e instanceof Stopped) {
            $answer = self::answer($e->status, $e->getMessage(), [], $e->extra);
            is_int($e->extra['retryAfter'] ?? null) &&
                $answer->headers->set('Retry-After', (string) $e->extra['retryAfter']);

            return $answer;
        }
        if ($e instanceof Refused) {
            return self::answer(422, null, $e->faults);
        }
        if ($e instanceof ThicketRefusal) {
            return self::answer(422, null, [['pointer' => '', 'message' => $e->getMessage()]]);
        }
        if ($e instanceof UniqueConstraintViolationException) {
            // an id that somebody else took between our look and our write; any other key was filled by another writer
            return str_contains($e->getMessage(), "for key 'PRIMARY'")
                ? self::answer(422, null, [['pointer' => '/id', 'message' => 'This id is taken; make a new one.']])
                : self::answer(409, 'Somebody did this a moment ago; load it again and look.');
        }
        $status = match (true) {
            $e instanceof AuthenticationException => 401,
            $e instanceof AuthorizationException => 403,
            $e instanceof ModelNotFoundException => 404,
            $e instanceof TokenMismatchException => 419,
            $e instanceof HttpExceptionInterface => $e->getStatusCode(),
            default => 500,
        };

        return self::answer(
            $status,
            $e instanceof AuthorizationException && $e->getMessage() !== 'This action is unauthorized.'
                ? $e->getMessage()
                : null,
        );
    }

    /**
     * @param list<array{pointer: string, message: string}> $faults
     * @param array{errors?: list<array{pointer: string, message: string}>, ...} $extra
     */
    public static function answer(
        int $status,
        ?string $detail = null,
        array $faults = [],
        array $extra = [],
    ): JsonResponse {
        $words = app(Refusals::class);
        // what is stopped may bring its own places along
        $faults = $faults === [] ? $extra['errors'] ?? [] : $faults;
        $said = array_map(
            static fn(array $fault): array => array_replace($fault, ['message' => $words->say($fault['message'])]),
            $faults,
        );
        $title = $words->say(self::TITLES[$status] ?? 'This did not work.');
        $body =
            ['type' => 'about:blank', 'title' => $title, 'status' => $status] +
            ($detail === null ? [] : ['detail' => $words->say($detail)]) +
            ($faults === [] ? [] : ['errors' => $said]) +
            $extra;

        return new JsonResponse(
            $body,
            $status,
            ['Content-Type' => 'application/problem+json'],
            JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }
}
