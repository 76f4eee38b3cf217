<?php

declare(strict_types=1);

namespace Thicket\Timing;

/** One laying of a preventer: from when and by when, and which days it covers, both included (rulings J48). */
final readonly class Laying
{
    public const FIRST = 'first';
    public const REPEAT = 'repeat-by';
    public const LOOK = 'look-first';

    /** @param string $kind first of its flush, repeat by that day, or look first and lay only if needed */
    public function __construct(
        public string $kind,
        public \DateTimeImmutable $earliest,
        public \DateTimeImmutable $latest,
        public \DateTimeImmutable $worksFrom,
        public \DateTimeImmutable $coversUntil,
    ) {}

    /** One that lies there since a day. */
    public static function done(\DateTimeImmutable $day, int $leadDays, int $worksDays): self
    {
        $works = $day->modify("+{$leadDays} days");

        return new self(self::FIRST, $day, $day, $works, $works->modify('+' . max(0, $worksDays - 1) . ' days'));
    }
}
