<?php

declare(strict_types=1);

namespace Thicket\Input;

/** Collects the faults of one input while it is read, so that a person sees all of them at once. */
final class Faults
{
    /** @var list<array{pointer: string, message: string}> */
    private array $faults = [];

    public function add(string $pointer, string $message): void
    {
        $this->faults[] = ['pointer' => $pointer, 'message' => $message];
    }

    public function any(): bool
    {
        return $this->faults !== [];
    }

    /** @throws Refused when there is any fault */
    public function throwIfAny(): void
    {
        if ($this->faults !== []) {
            throw new Refused($this->faults);
        }
    }
}
