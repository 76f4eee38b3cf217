<?php

declare(strict_types=1);

namespace Thicket\Label;

/** Which product a card is of, and which copy of its label. */
final readonly class Product
{
    /**
     * @param string $id of this version of the card; empty where it was only read
     * @param list<string> $formerNames under which somebody may still know it
     */
    public function __construct(
        public string $id,
        public int $version,
        public bool $confirmed,
        public string $name,
        public string $registration,
        public array $formerNames = [],
    ) {}
}
