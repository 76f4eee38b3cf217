<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Catalogue\Species;

/**
 * How long a stand is looked at after the work, and when next (rulings J23): for the years that seed lasts in the soil,
 * begun again by every plant that seeds. Nobody is offered to close before.
 */
final readonly class Patrols
{
    public const NONE = 'none';
    public const SEEDLINGS = 'seedlings';
    public const SEEDING = 'seeding';
    public const FOUND = [self::NONE, self::SEEDLINGS, self::SEEDING];
    /** Decades: as long as anybody holds the ground (rulings J23). */
    private const FOR_GOOD_YEARS = 20;
    /** Where the species file does not say. */
    private const UNKNOWN_YEARS = 3;

    private function __construct(
        public \DateTimeImmutable $until,
        public bool $forGood,
        public \DateTimeImmutable $next,
        public bool $mayClose,
        /** Years that it goes by. */
        public int $years,
        public bool $isFirstFind,
    ) {}

    /**
     * More than six: what is known of a cleared stand.
     *
     * @param \DateTimeImmutable $worked last
     * @param \DateTimeImmutable $looked the day of its score
     * @param bool $lived some of those counted then: they may have seeded until somebody saw them
     * @param list<array{on: \DateTimeImmutable, found: string}> $looks patrols, newest first
     * @param bool $isFirstFind the plant was never found here before, so little seed can lie in the soil (handbook 7)
     */
    public static function of(
        Species $species,
        \DateTimeImmutable $worked,
        \DateTimeImmutable $looked,
        bool $lived,
        array $looks,
        bool $isFirstFind,
        \DateTimeImmutable $today,
    ): self {
        $bank = $species->seedBankYears();
        $seeded = array_values(array_filter($looks, static fn(array $l): bool => $l['found'] === self::SEEDING));
        // a second find resets the hope of the first
        $quick = $isFirstFind && $seeded === [];
        $years = max(1, $quick ? $bank['min'] ?? 1 : $bank['typical'] ?? self::UNKNOWN_YEARS);
        $lastSeed = $lived ? $looked : $worked;
        $until = max($lastSeed, $seeded[0]['on'] ?? $lastSeed)->modify("+{$years} years");
        $last = max($looked, $looks[0]['on'] ?? $looked);
        // what sprouts at any time is looked for in every season
        $next = $last->modify($species->germinations() === null ? '+3 months' : '+1 year');
        $forGood = ($bank['typical'] ?? 0) >= self::FOR_GOOD_YEARS && !$quick;

        return new self(
            $until,
            $forGood,
            $next,
            !$forGood && $today >= $until && ($looks[0]['found'] ?? null) === self::NONE && $looks[0]['on'] >= $until,
            $years,
            $quick,
        );
    }
}
