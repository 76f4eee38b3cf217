<?php

declare(strict_types=1);

namespace Thicket\Input;

use Thicket\ThicketRefusal;

/** Bad input, all faults at once: each with the JSON pointer of its field and what would be right. */
final class Refused extends \InvalidArgumentException implements ThicketRefusal
{
    /** @param list<array{pointer: string, message: string}> $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(
            implode(' ', array_map(static fn(array $f): string => "{$f['pointer']}: {$f['message']}", $faults)),
        );
    }

    /** One fault at one place. */
    public static function at(string $pointer, string $message): self
    {
        return new self([['pointer' => $pointer, 'message' => $message]]);
    }
}
