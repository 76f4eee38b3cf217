<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** Why a job stands on its day, or why not: a code with a sentence in every language file, and its values. */
final readonly class Reason
{
    /** @param array<string, \DateTimeImmutable|int|string> $values strings are ids or codes */
    public function __construct(public string $code, public array $values = []) {}
}
