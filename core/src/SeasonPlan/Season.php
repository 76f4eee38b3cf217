<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

use Thicket\Calendar\Day;

/** What is to be planned: the jobs, and what there is to do them with. */
final readonly class Season
{
    public const MOST_DAYS = 800;
    /** A job that is begun is done within so many days (ours: weather, and what regrows, part it else). */
    public const WITHIN_DAYS = 14;

    /**
     * More than six: the whole of a season, resource by resource.
     *
     * @param list<Job> $jobs
     * @param list<Hand> $hands
     * @param array<string, int> $kit how many there are of each kind that is scarce; a kind not named is not
     * @param int|null $money in the smallest coin for all jobs together; null where it is not limited
     * @param int|null $litres of mix that can be brought out on a day; null where it is not limited
     * @param array<string, list<string>> $lost days (Y-m-d) on which a patch cannot be worked: weather, a shoot, stock
     */
    public function __construct(
        public \DateTimeImmutable $first,
        public \DateTimeImmutable $last,
        public array $jobs,
        public array $hands,
        public Travel $travel,
        public array $kit = [],
        public ?int $money = null,
        public ?int $litres = null,
        public array $lost = [],
    ) {}

    public function days(): int
    {
        return Day::between($this->first, $this->last) + 1;
    }

    public function dayAt(int $i): \DateTimeImmutable
    {
        return $this->first->modify("+{$i} days");
    }

    public function job(string $id): ?Job
    {
        foreach ($this->jobs as $job) {
            if ($job->id === $id) {
                return $job;
            }
        }

        return null;
    }

    /**
     * @param list<Hand>|null $hands
     * @param array<string, int>|null $kit
     * @param list<Job>|null $jobs
     */
    public function having(?array $hands = null, ?array $kit = null, ?array $jobs = null): self
    {
        return new self(
            $this->first,
            $this->last,
            $jobs ?? $this->jobs,
            $hands ?? $this->hands,
            $this->travel,
            $kit ?? $this->kit,
            $this->money,
            $this->litres,
            $this->lost,
        );
    }

    public function withMoney(?int $money): self
    {
        return new self(
            $this->first,
            $this->last,
            $this->jobs,
            $this->hands,
            $this->travel,
            $this->kit,
            $money,
            $this->litres,
            $this->lost,
        );
    }
}
