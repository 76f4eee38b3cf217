<?php

declare(strict_types=1);

namespace Thicket\Review;

/** What a signed record tells of how the work went, as far as it bears on whether it did. */
final readonly class Done
{
    /**
     * @param list<string> $outside limits that were not kept, in words
     * @param list<array{gate: string, reason: string}> $passes gates that a lead passed
     * @param float|null $dose mix used to mix planned for as many plants; null where no mix was planned
     * @param int $left plants left on purpose
     * @param int $missed spots marked as missed
     */
    public function __construct(
        public array $outside,
        public array $passes,
        public ?float $dose,
        public int $left,
        public int $missed,
        public bool $incident,
    ) {}
}
