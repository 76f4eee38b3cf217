<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/**
 * What doing a job is worth beside others, in points, and why. The points are ours, stated in docs/planner.md: they
 * only order jobs that cannot all be done.
 */
final readonly class Worth
{
    private const JOB = 10;
    private const FOR_EACH = [
        // the work already put into the stand is lost without it
        'follows-on' => 5,
        'sets-seed' => 4,
        'spreading-edge' => 3,
        'promised' => 6,
    ];
    public const REASONS = ['follows-on', 'sets-seed', 'spreading-edge', 'promised'];

    /**
     * @param list<string> $reasons of REASONS
     * @param \DateTimeImmutable|null $bestBefore after that day it is worth half: the seed is down, the promise broken
     */
    private function __construct(public int $points, public array $reasons, public ?\DateTimeImmutable $bestBefore) {}

    /** @param list<string> $reasons of REASONS */
    public static function of(array $reasons = [], ?\DateTimeImmutable $bestBefore = null): self
    {
        return new self(
            self::JOB + array_sum(array_map(static fn(string $reason): int => self::FOR_EACH[$reason], $reasons)),
            $reasons,
            $bestBefore,
        );
    }
}
