<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Typed reading of a decoded data file. The files are checked against their schemas when the catalogue is
 * compiled, so a wrong shape here is a bug of ours (LogicException), not bad input.
 */
final readonly class Node
{
    /** @param array<array-key, mixed> $data */
    public function __construct(public array $data, public string $where) {}

    public function has(string $key): bool
    {
        return isset($this->data[$key]);
    }

    /** Whether just this stands there: a word in place of a number or a list. */
    public function says(string $key, string $word): bool
    {
        return ($this->data[$key] ?? null) === $word;
    }

    public function string(string $key): string
    {
        $value = $this->data[$key] ?? null;

        return is_string($value) ? $value : throw $this->wrong($key, 'a string');
    }

    public function stringOr(string $key, string $default): string
    {
        return $this->has($key) ? $this->string($key) : $default;
    }

    public function bool(string $key, bool $default = false): bool
    {
        $value = $this->data[$key] ?? $default;

        return is_bool($value) ? $value : throw $this->wrong($key, 'true or false');
    }

    public function int(string $key, ?int $default = null): int
    {
        $value = $this->data[$key] ?? $default;

        return is_int($value) ? $value : throw $this->wrong($key, 'a whole number');
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $out = [];
        foreach ($this->children($key) as $value) {
            $out[] = is_string($value) ? $value : throw $this->wrong($key, 'strings');
        }

        return $out;
    }

    /** @return list<string> */
    public function stringsOrEmpty(string $key): array
    {
        return $this->has($key) ? $this->strings($key) : [];
    }

    /** @return array<string, string> */
    public function stringMap(string $key): array
    {
        $out = [];
        foreach ($this->children($key) as $name => $value) {
            $out[(string) $name] = is_string($value) ? $value : throw $this->wrong($key, 'a map of strings');
        }

        return $out;
    }

    public function node(string $key): self
    {
        $value = $this->data[$key] ?? null;

        return is_array($value) ? new self($value, "{$this->where}/{$key}") : throw $this->wrong($key, 'a map');
    }

    public function nodeOrEmpty(string $key): self
    {
        return is_array($this->data[$key] ?? null) ? $this->node($key) : new self([], "{$this->where}/{$key}");
    }

    /** @return array<array-key, self> */
    public function nodes(string $key): array
    {
        $out = [];
        foreach ($this->children($key) as $name => $value) {
            $out[$name] = is_array($value)
                ? new self($value, "{$this->where}/{$key}/{$name}")
                : throw $this->wrong($key, 'maps');
        }

        return $out;
    }

    /** A measured value: {value: "6", unit: in}; null when absent or 'unknown'. */
    public function quantity(string $key): ?Quantity
    {
        if (!is_array($this->data[$key] ?? null)) {
            return null;
        }
        $node = $this->node($key);

        return Quantity::of($node->string('value'), Unit::from($node->string('unit')));
    }

    /** @return array<array-key, mixed> */
    private function children(string $key): array
    {
        $value = $this->data[$key] ?? [];

        return is_array($value) ? $value : throw $this->wrong($key, 'a list or map');
    }

    private function wrong(string $key, string $wanted): \LogicException
    {
        return new \LogicException("{$this->where}: '{$key}' must be {$wanted}.");
    }
}
