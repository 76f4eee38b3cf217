<?php

declare(strict_types=1);

namespace Thicket\Practice;

use Thicket\Measure\Quantity;

/** A gate that is shut, with what its sentence tells. */
final readonly class Gate
{
    /** @param array<string, string|Quantity|\DateTimeImmutable> $values */
    public function __construct(public GateKind $kind, public array $values = []) {}
}
