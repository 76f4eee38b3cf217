<?php

declare(strict_types=1);

namespace Thicket\Programmes;

use Thicket\Assess\Row;
use Thicket\Measure\Quantity;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** One later job of a programme, with its days and how it stands on the first of them. */
final readonly class PlannedStep
{
    /**
     * More than six: one job as it is laid out, line by line.
     *
     * @param Row $row the board's row for this job on its first day
     * @param Outcome $outcome of what counts for the plan: what the sequence itself answers, and what can only be seen
     *     on the day, set aside
     * @param list<Finding> $against the findings that shut the step, or that must still be seen to
     * @param array{Quantity, Quantity, Quantity}|null $hours low, use, high; null where they cannot be reckoned
     * @param bool $optional a programme stands without it
     * @param bool $afterwards on what came back: how much that is, is not known yet, and the hours are those of the
     *     first time at most
     */
    public function __construct(
        public \DateTimeImmutable $from,
        public ?\DateTimeImmutable $to,
        public string $note,
        public Row $row,
        public Outcome $outcome,
        public array $against,
        public ?array $hours,
        public bool $optional,
        public bool $afterwards,
    ) {}
}
