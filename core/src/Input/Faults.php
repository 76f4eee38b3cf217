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
        // a figure that two others are read by is told once
        in_array($fault = ['pointer' => $pointer, 'message' => $message], $this->faults, true) ||
            ($this->faults[] = $fault);
    }

    /** Those of a reader that stops at the first. */
    public function addAll(Refused $refused): void
    {
        foreach ($refused->faults as $fault) {
            $this->add($fault['pointer'], $fault['message']);
        }
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
