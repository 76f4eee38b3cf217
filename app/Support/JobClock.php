<?php

declare(strict_types=1);

namespace App\Support;

use Thicket\Calendar\Day;

/** The one clock of the job (rulings B6): the real clock moved by an offset, or standing still in tests. */
final class JobClock
{
    private ?\DateTimeImmutable $frozenAt;

    /** A frozen moment is told in UTC, as the running clock is: the database keeps no zone. */
    public function __construct(private readonly int $offsetSeconds, ?\DateTimeImmutable $frozenAt = null)
    {
        $this->frozenAt = $frozenAt?->setTimezone(new \DateTimeZone('UTC'));
    }

    public static function fromConfig(): self
    {
        $frozen = config()->string('thicket.clock_frozen_at');

        return new self(
            config()->integer('thicket.clock_offset_seconds'),
            $frozen === '' ? null : new \DateTimeImmutable($frozen),
        );
    }

    public function now(): \DateTimeImmutable
    {
        return $this->frozenAt ?? new \DateTimeImmutable('@' . (time() + $this->offsetSeconds));
    }

    /**
     * The day where the work is: no day is ever taken from the clock without saying where (a test reads the code for
     * it).
     */
    public function today(string $timeZone): \DateTimeImmutable
    {
        return self::dayOf($this->now(), $timeZone);
    }

    /** The day that a moment belongs to there. */
    public static function dayOf(\DateTimeInterface $moment, string $timeZone): \DateTimeImmutable
    {
        return Day::parse(
            \DateTimeImmutable::createFromInterface($moment)
                ->setTimezone(new \DateTimeZone($timeZone))
                ->format('Y-m-d'),
        );
    }

    public function thaw(): void
    {
        $this->frozenAt = null;
    }

    public function freezeAt(string $moment): void
    {
        $this->frozenAt = (new \DateTimeImmutable($moment))->setTimezone(new \DateTimeZone('UTC'));
    }
}
