<?php

declare(strict_types=1);

namespace Thicket\Safety;

/** What a crew has recorded of a duty. */
final readonly class Settled
{
    /** Asked for, or still to be told. */
    public const UNDER_WAY = 'under-way';
    /** A paper that is held, somebody who was told. */
    public const DONE = 'done';
    /** Whoever decides says that it needs none: our own ground, no permit here, nobody lives there. */
    public const NOT_NEEDED = 'not-needed';
    public const STATES = [self::DONE, self::UNDER_WAY, self::NOT_NEEDED];

    /**
     * @param string|null $keeper that it is about; null: whatever it is about
     * @param \DateTimeImmutable|null $until last day on which it holds; null: until it is taken back
     */
    public function __construct(
        public DutyKind $kind,
        public string $state,
        public ?string $keeper = null,
        public ?\DateTimeImmutable $until = null,
    ) {}

    public function isOf(Duty $duty): bool
    {
        return $this->kind === $duty->kind && ($this->keeper === null || $this->keeper === $duty->keeper);
    }

    /** Whether the job may go on that day, as far as this is asked. */
    public function holdsOn(\DateTimeImmutable $day): bool
    {
        return $this->state !== self::UNDER_WAY &&
            ($this->until === null || $this->until->format('Y-m-d') >= $day->format('Y-m-d'));
    }

    /**
     * Of all that is recorded of a duty, what counts: one that holds, else one that is under way, else the newest that
     * has run out.
     *
     * @param list<self> $recorded newest first
     */
    public static function of(Duty $duty, array $recorded, \DateTimeImmutable $day): ?self
    {
        $mine = array_values(array_filter($recorded, static fn(self $one): bool => $one->isOf($duty)));
        foreach (
            [
                static fn(self $one): bool => $one->holdsOn($day),
                static fn(self $one): bool => $one->state === self::UNDER_WAY,
                static fn(): bool => true,
            ]
            as $counts
        ) {
            foreach ($mine as $one) {
                if ($counts($one)) {
                    return $one;
                }
            }
        }

        return null;
    }
}
