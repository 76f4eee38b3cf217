<?php

declare(strict_types=1);

namespace Tests;

use App\Models\User;
use App\Support\JobClock;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/**
 * Real MariaDB with the demo loaded once by bin/test; each test in a transaction. Every answer is held against
 * openapi.yaml.
 */
abstract class AppTestCase extends TestCase
{
    use DatabaseTransactions;

    private static ?Validator $validator = null;

    /** @var array<string, mixed>|null */
    private static ?array $contract = null;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__) . '/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // tests write beside the application and let days pass; only those of kept answers keep any
        config(['cache.stores.answers' => ['driver' => 'null']]);
        $this->app?->make(JobClock::class)->freezeAt('2026-09-03T09:00:00-05:00');
        $this->withHeaders(['Referer' => config('app.url'), 'Accept' => 'application/json']);
    }

    public function as(string $name = 'ada'): static
    {
        $this->flushSession();
        // a guard remembers who it let in, from one call of a test to the next
        $this->app?->make('auth')->forgetGuards();

        $user = User::query()
            ->where('email', "{$name}@alderbrook.example")
            ->firstOrFail();

        return $this->actingAs($user, 'web')->withSession(["password_given.{$user->id}" => time()]);
    }

    /**
     * Calls the API and checks the answer against the contract: path, method, status, content type, body.
     *
     * @param array<string, mixed>|string $body a string is sent as it is
     * @param array<string, string> $headers
     */
    public function api(string $method, string $path, array|string $body = [], array $headers = []): TestResponse
    {
        $server = $this->transformHeadersToServerVars(
            $headers + [
                'Content-Type' => 'application/json',
                'Accept' => 'application/json',
                'Referer' => config('app.url'),
            ],
        );
        $content =
            $method === 'GET'
                ? null
                : (is_string($body)
                    ? $body
                    : json_encode($body === [] ? new \stdClass() : $body, JSON_THROW_ON_ERROR));
        $response = $this->call($method, "/api/v1{$path}", [], [], [], $server, $content);
        $this->assertContract($method, $path, $response);

        return $response;
    }

    private function assertContract(string $method, string $path, TestResponse $response): void
    {
        self::$contract ??= Yaml::parseFile(dirname(__DIR__) . '/openapi.yaml');
        $path = explode('?', $path)[0];
        $template = $this->template($path);
        if ($template === null && $response->getStatusCode() === 404) {
            return;
        }
        self::assertNotNull($template, "openapi.yaml has no path for {$path}");
        $responses = self::$contract['paths'][$template][strtolower($method)]['responses'] ?? null;
        self::assertIsArray($responses, "openapi.yaml has no {$method} {$template}");
        $status = (string) $response->getStatusCode();
        $key = array_key_exists((int) $status, $responses) ? $status : ($status[0] === '4' ? '4XX' : null);
        self::assertNotNull(
            $key,
            "openapi.yaml does not promise {$status} for {$method} {$template}: " .
                mb_substr((string) $response->getContent(), 0, 600),
        );
        $at = ['paths', $template, strtolower($method), 'responses', $key];
        $promised = $responses[$key];
        if (isset($promised['$ref'])) {
            // an answer that many share
            $at = explode('/', substr((string) $promised['$ref'], 2));
            $promised = self::$contract['components']['responses'][$at[2] ?? ''] ?? [];
        }
        if (!isset($promised['content'])) {
            self::assertSame('', $response->getContent(), "{$status} for {$method} {$template} has no body");

            return;
        }
        $type = explode(';', (string) $response->headers->get('Content-Type'))[0];
        self::assertArrayHasKey($type, $promised['content'], "content type of {$method} {$template}");
        if (!str_ends_with($type, 'json')) {
            return;
        }
        if (self::$validator === null) {
            self::$validator = new Validator();
            self::$validator
                ->resolver()
                ?->registerRaw(
                    json_decode(
                        (string) json_encode(
                            Yaml::parseFile(dirname(__DIR__) . '/openapi.yaml', Yaml::PARSE_OBJECT_FOR_MAP),
                        ),
                    ),
                    'https://thicket.test/openapi.json',
                );
        }
        $escape = static fn(string $part): string => rawurlencode(strtr($part, ['~' => '~0', '/' => '~1']));
        $pointer = implode('/', array_map($escape, [...$at, 'content', $type, 'schema']));
        $result = self::$validator->validate(
            json_decode((string) $response->getContent()),
            (object) ['$ref' => "https://thicket.test/openapi.json#/{$pointer}"],
        );
        $error = $result->error();
        self::assertNull(
            $error,
            $error === null
                ? ''
                : "{$method} {$template} {$status}: " . json_encode((new ErrorFormatter())->format($error, false)),
        );
    }

    private function template(string $path): ?string
    {
        foreach (array_keys(self::$contract['paths'] ?? []) as $template) {
            if (preg_match('#^' . preg_replace('#\{\w+\}#', '[^/]+', (string) $template) . '$#', $path) === 1) {
                return (string) $template;
            }
        }

        return null;
    }

    /** @return array<string, mixed> one row of the board of a stand, with its reasons */
    public function boardRow(string $stand, string $row): array
    {
        return $this->api('GET', "/stands/{$stand}/board/row?" . http_build_query(['row' => $row]))
            ->assertOk()
            ->json();
    }

    public function standId(string $species): string
    {
        return (string) \App\Models\Stand::query()->where('species', $species)->orderBy('id')->value('id');
    }
}
