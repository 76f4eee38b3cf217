<?php

declare(strict_types=1);

namespace Tests\Live;

/**
 * A browser's worth of HTTP against the running application (THICKET_URL): cookies, the forgery token, JSON. Several
 * requests can be sent at once; the workers that answer them are processes of their own on one MariaDB.
 */
final class Visitor
{
    /** @var array<string, string> */
    private array $cookies = [];

    public function __construct(public readonly string $url) {}

    public static function here(): self
    {
        return new self(rtrim((string) (getenv('THICKET_URL') ?: 'http://127.0.0.1:8085'), '/'));
    }

    public static function signedIn(string $name = 'ada'): self
    {
        $visitor = self::here();
        $visitor->must(200, 'POST', '/session', [
            'email' => "{$name}@alderbrook.example",
            'password' => 'thicket-demo',
        ]);
        $visitor->must(200, 'POST', '/session/password', ['password' => 'thicket-demo']);

        return $visitor;
    }

    /**
     * @param array<mixed>|string|null $body a string is sent as it is
     * @param array<string, string> $headers
     */
    public function call(string $method, string $path, array|string|null $body = null, array $headers = []): Answer
    {
        return $this->together([[$method, $path, $body, $headers]])[0];
    }

    /**
     * @param array<mixed>|string|null $body
     * @param array<string, string> $headers
     */
    public function must(
        int $status,
        string $method,
        string $path,
        array|string|null $body = null,
        array $headers = [],
    ): Answer {
        $answer = $this->call($method, $path, $body, $headers);
        if ($answer->status !== $status) {
            throw new \RuntimeException(
                "{$method} {$path} answered {$answer->status}, not {$status}: " . mb_substr($answer->body, 0, 800),
            );
        }

        return $answer;
    }

    /**
     * @param list<array{string, string, array<mixed>|string|null, array<string, string>}> $requests sent at the same
     *     time
     *
     * @return list<Answer> in the order of the requests
     */
    public function together(array $requests): array
    {
        $this->token();
        $many = curl_multi_init();
        $handles = [];
        foreach ($requests as [$method, $path, $body, $headers]) {
            $handles[] = $handle = $this->handle($method, $path, $body, $headers);
            curl_multi_add_handle($many, $handle);
        }
        do {
            curl_multi_exec($many, $running);
            $running > 0 && curl_multi_select($many, 1.0);
        } while ($running > 0);
        $answers = [];
        foreach ($handles as $handle) {
            $raw = (string) curl_multi_getcontent($handle);
            $head = (int) curl_getinfo($handle, CURLINFO_HEADER_SIZE);
            $answers[] = $answer = new Answer(
                (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
                self::headers(substr($raw, 0, $head)),
                substr($raw, $head),
                (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME),
            );
            $this->keep(substr($raw, 0, $head));
            curl_multi_remove_handle($many, $handle);
        }

        return $answers;
    }

    /** A page or a file outside the API. */
    public function open(string $path): Answer
    {
        return $this->call('GET', "!{$path}");
    }

    private function token(): void
    {
        if (!isset($this->cookies['XSRF-TOKEN'])) {
            $handle = curl_init("{$this->url}/sanctum/csrf-cookie");
            curl_setopt_array($handle, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true]);
            $this->keep((string) curl_exec($handle));
        }
    }

    /**
     * @param array<mixed>|string|null $body
     * @param array<string, string> $headers
     */
    private function handle(string $method, string $path, array|string|null $body, array $headers): \CurlHandle
    {
        $handle = curl_init(str_starts_with($path, '!') ? $this->url . substr($path, 1) : "{$this->url}/api/v1{$path}");
        $headers += [
            'Accept' => 'application/json',
            'Content-Type' => 'application/json',
            'Referer' => $this->url,
            'X-XSRF-TOKEN' => rawurldecode($this->cookies['XSRF-TOKEN'] ?? ''),
            'Expect' => '',
        ];
        curl_setopt_array($handle, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_TIMEOUT => 90,
            CURLOPT_COOKIE => implode(
                '; ',
                array_map(
                    static fn(string $k, string $v): string => "{$k}={$v}",
                    array_keys($this->cookies),
                    $this->cookies,
                ),
            ),
            CURLOPT_HTTPHEADER => array_map(
                static fn(string $k, string $v): string => "{$k}: {$v}",
                array_keys($headers),
                $headers,
            ),
        ]);
        if ($method !== 'GET') {
            curl_setopt(
                $handle,
                CURLOPT_POSTFIELDS,
                is_string($body)
                    ? $body
                    : ($body === null || $body === []
                        ? '{}'
                        : json_encode($body, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)),
            );
        }

        return $handle;
    }

    private function keep(string $head): void
    {
        preg_match_all('/^Set-Cookie: ([^=]+)=([^;]*)/mi', $head, $found, PREG_SET_ORDER);
        foreach ($found as [, $name, $value]) {
            $this->cookies[$name] = $value;
        }
    }

    /** @return array<string, string> names in small letters */
    private static function headers(string $head): array
    {
        preg_match_all('/^([A-Za-z0-9-]+): (.*?)\r?$/m', $head, $found, PREG_SET_ORDER);
        $out = [];
        foreach ($found as [, $name, $value]) {
            $out[strtolower($name)] = $value;
        }

        return $out;
    }
}
