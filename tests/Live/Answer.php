<?php

declare(strict_types=1);

namespace Tests\Live;

/** What came back over HTTP. */
final readonly class Answer
{
    /** @param array<string, string> $headers names in small letters */
    public function __construct(
        public int $status,
        public array $headers,
        public string $body,
        public float $seconds,
    ) {}

    /** The value at a path such as "gates.0.code"; null where there is none. */
    public function json(string $path = ''): mixed
    {
        $value = json_decode($this->body, true);
        foreach ($path === '' ? [] : explode('.', $path) as $key) {
            $value = is_array($value) ? $value[$key] ?? null : null;
        }

        return $value;
    }
}
