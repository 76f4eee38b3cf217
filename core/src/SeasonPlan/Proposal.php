<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** A season on its days, with what it brings and what no plan could bring more than. */
final readonly class Proposal
{
    /**
     * More than six: a season told whole.
     *
     * @param list<Placement> $placements by their first day
     * @param array<string, list<Reason>> $why by job: why it stands there
     * @param list<LeftOut> $leftOut
     * @param int $value thousandths of points that the plan brings
     * @param int $bound thousandths of points that no plan brings more than
     * @param int $road minutes of all people between the Shed and the patches
     * @param list<string> $unpriced jobs in the plan whose money nobody knows, so that no limit counts them
     */
    public function __construct(
        public array $placements,
        public array $why,
        public array $leftOut,
        public int $value,
        public int $bound,
        public int $road,
        public array $unpriced,
    ) {}

    public function placement(string $job): ?Placement
    {
        foreach ($this->placements as $placement) {
            if ($placement->job === $job) {
                return $placement;
            }
        }

        return null;
    }
}
