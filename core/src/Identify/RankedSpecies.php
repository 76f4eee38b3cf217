<?php

declare(strict_types=1);

namespace Thicket\Identify;

/** A species as the key ranks it, with what speaks for it, against it, and what was not looked at. */
final readonly class RankedSpecies
{
    /**
     * @param float $share 0 to 1; all candidates together are 1
     * @param list<string> $agrees
     * @param list<string> $conflicts
     * @param list<string> $unseen
     */
    public function __construct(
        public string $speciesId,
        public float $share,
        public array $agrees,
        public array $conflicts,
        public array $unseen,
    ) {}
}
