<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Crew;
use App\Support\JobClock;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Thicket\Catalogue\Catalogue;

/**
 * What was worked out for a crew, kept in the memory of this machine while nobody of the crew writes (each write counts
 * its turn), and for a minute at most, since what was seen ages with the clock.
 */
final class KeptWork
{
    private const SECONDS = 60;

    private bool $isPaused = false;

    public function __construct(private readonly Catalogue $catalogue, private readonly JobClock $clock) {}

    /** Within a write nothing is kept nor taken: what it sees may not be committed yet, and may never be. */
    public function pause(): void
    {
        $this->isPaused = true;
    }

    /** All that a work of this name hangs on besides its name: a hash. */
    public function state(string $name, Crew $crew): string
    {
        $on = [
            $name,
            $crew->id,
            $crew->turn,
            $this->catalogue->hash,
            intdiv($this->clock->now()->getTimestamp(), self::SECONDS),
        ];

        return substr(hash('sha256', implode("\n", $on)), 0, 32);
    }

    /**
     * @template T of object
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function of(string $name, Crew $crew, \Closure $work): object
    {
        $state = $this->state($name, $crew);
        /** @var T|null $kept */
        $kept = $this->read($state);
        if ($kept === null) {
            $kept = $work();
            $this->keep($state, $kept);
        }

        return $kept;
    }

    public function read(string $state): mixed
    {
        return $this->isPaused ? null : $this->store()->get($state);
    }

    public function keep(string $state, mixed $work): void
    {
        $this->isPaused || $this->store()->put($state, $work, self::SECONDS);
    }

    private function store(): Repository
    {
        return Cache::store('answers');
    }
}
