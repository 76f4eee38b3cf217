<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** A job that found no day, why, and what would make room for it. */
final readonly class LeftOut
{
    /**
     * @param list<Reason> $reasons what stands against it most
     * @param list<Reason> $room each enough by itself; empty where nothing that was tried is
     */
    public function __construct(public string $job, public array $reasons, public array $room) {}
}
