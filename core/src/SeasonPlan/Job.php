<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** One pass of one job on one patch, as the planner sees it. */
final readonly class Job
{
    /**
     * More than six: one job, property by property.
     *
     * @param string $patch where it is, a name of the travel table
     * @param list<Span> $open in order, not touching each other
     * @param list<After> $after
     * @param int|null $closes days for which its patch stays shut to other jobs after its last day; 0 for the rest of
     *     that day, null where nothing is put there that anybody must stay away from
     * @param \DateTimeImmutable|null $pin the day on which it is to begin, held by a person
     * @param list<string> $by people who are to do it; empty where anybody may who can
     */
    public function __construct(
        public string $id,
        public string $patch,
        public Needs $needs,
        public array $open,
        public Worth $worth,
        public array $after = [],
        public ?int $closes = null,
        public ?\DateTimeImmutable $pin = null,
        public array $by = [],
    ) {}

    /** The same job, waiting for no other. */
    public function alone(): self
    {
        return new self(
            $this->id,
            $this->patch,
            $this->needs,
            $this->open,
            $this->worth,
            [],
            $this->closes,
            $this->pin,
            $this->by,
        );
    }

    /** The same job, held to another day, or to none. */
    public function pinnedTo(?\DateTimeImmutable $day): self
    {
        return new self(
            $this->id,
            $this->patch,
            $this->needs,
            $this->open,
            $this->worth,
            $this->after,
            $this->closes,
            $day,
            $this->by,
        );
    }

    /**
     * Days for which a re-entry interval keeps others out after the day of work: work ends by 18:00 and begins no
     * sooner than 6:00, so 12 h are over the next morning and 24 h take that day too.
     *
     * @param int $hours of the label
     */
    public static function daysClosed(int $hours): int
    {
        return $hours <= 12 ? 0 : intdiv($hours - 12 + 23, 24);
    }
}
