<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Survey\StemGroup;

/** How a recipe came about. */
final readonly class Reckoning
{
    /**
     * @param array<string, Quantity|string|int> $working named figures of the sum
     * @param list<StemGroup> $stems that are treated
     * @param string|null $restsOn the figure of the table that the need goes by, as its path there
     * @param Quantity|null $bare the need before the allowance
     */
    public function __construct(
        public array $working = [],
        public array $stems = [],
        public ?string $restsOn = null,
        public ?Quantity $bare = null,
    ) {}
}
