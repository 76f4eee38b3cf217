<?php

declare(strict_types=1);

namespace Thicket\Situation;

/** Keeps answers that depend on nothing but what never changes and the key. */
final class Memo
{
    /** @var array<string, mixed> */
    private array $kept = [];

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    public function once(string $key, callable $work): mixed
    {
        if (!array_key_exists($key, $this->kept)) {
            $this->kept[$key] = $work();
        }

        /** @var T */
        return $this->kept[$key];
    }
}
