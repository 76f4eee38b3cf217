<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** Work of one person from a start to a pause or stop. */
final readonly class Spell
{
    /** @param \DateTimeImmutable|null $to null while it goes on */
    public function __construct(public string $by, public \DateTimeImmutable $from, public ?\DateTimeImmutable $to) {}
}
