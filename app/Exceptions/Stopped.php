<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A request that is understood and refused, with a sentence for people and what they need to go on. */
final class Stopped extends \RuntimeException
{
    /** @param array<string, mixed> $extra further members of the problem, such as the gates that are shut */
    public function __construct(public readonly int $status, string $message, public readonly array $extra = [])
    {
        parent::__construct($message);
    }
}
