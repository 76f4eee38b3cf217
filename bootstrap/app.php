<?php

declare(strict_types=1);

use App\Exceptions\Stopped;
use App\Http\Middleware\BodyLimit;
use App\Http\Middleware\IdempotentWrites;
use App\Http\Middleware\InTurn;
use App\Http\Middleware\JobNow;
use App\Http\Middleware\KeepsTrail;
use App\Http\Middleware\SpeaksTo;
use App\Http\Problem;
use App\Http\SecurityLog;
use Illuminate\Database\DeadlockException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

/*
 * Everything the application writes lives under THICKET_VAR: its .env, caches, logs, the compiled catalogue.
 * The console twins work without any of it.
 */
$var = getenv('THICKET_VAR') ?: dirname(__DIR__) . '/var/console';
foreach (
    ["{$var}/cache", "{$var}/storage/framework/views", "{$var}/storage/logs", "{$var}/storage/app"]
    as $directory
) {
    is_dir($directory) || @mkdir($directory, 0o775, true);
}
foreach (
    [
        'SERVICES' => 'services',
        'PACKAGES' => 'packages',
        'CONFIG' => 'config',
        'ROUTES' => 'routes',
        'EVENTS' => 'events',
    ]
    as $name => $file
) {
    $_ENV["APP_{$name}_CACHE"] = $_SERVER["APP_{$name}_CACHE"] = "{$var}/cache/{$file}.php";
}

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(api: __DIR__ . '/../routes/api.php', apiPrefix: 'api/v1')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->statefulApi();
        // nothing is cleaned value by value: controllers read the body themselves, and say what is wrong with it
        $middleware->remove([HandleCors::class, TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->prepend(BodyLimit::class);
        $middleware->api(append: [JobNow::class, SpeaksTo::class]);
        $middleware->web(append: [SpeaksTo::class]);
        // a write within its crew's turn, done once however often it is sent
        $middleware->group('writes', ['can:write', InTurn::class, IdempotentWrites::class, KeepsTrail::class]);
        $middleware->redirectGuestsTo(fn(): ?string => null);
    })
    ->withCommands([__DIR__ . '/../app/Console/Commands'])
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(static function (Throwable $e, Request $request): JsonResponse {
            $answer = Problem::for($e);
            in_array($answer->getStatusCode(), [401, 403, 419, 429], true) &&
                SecurityLog::note('refused', $request, ['status' => $answer->getStatusCode()]);

            return $answer;
        });
        // what is refused as it should be is no fault of ours, and a lost race is done again
        $exceptions->dontReport([
            Thicket\ThicketRefusal::class,
            Stopped::class,
            UniqueConstraintViolationException::class,
            DeadlockException::class,
        ]);
    })
    ->create();

$app->useEnvironmentPath($var);
$app->useStoragePath("{$var}/storage");

return $app;
