<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Measure\Quantity;
use Thicket\Survey\StemGroup;

/** What was counted, measured and done on the patch, and what is kept about it. */
final readonly class Surveyed
{
    /**
     * @param list<StemGroup> $stems empty where nothing was tallied
     * @param list<ProtectedFeature> $keepers
     * @param Quantity|null $area of the patch
     * @param list<PastWork> $history what was done to this stand, in any order
     */
    public function __construct(
        public array $stems = [],
        public array $keepers = [],
        public ?Quantity $area = null,
        public array $history = [],
    ) {}

    /** @param list<StemGroup> $stems */
    public function withStems(array $stems): self
    {
        return new self($stems, $this->keepers, $this->area, $this->history);
    }
}
