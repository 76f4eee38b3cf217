<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;

/**
 * Mix left in the tank from before. It may only join the very same mix: card version, carrier and strength the same,
 * and within the hours that the card lets a mix stand (rulings J10). What it came from has to be known.
 */
final readonly class Leftover
{
    /**
     * More than six: a leftover joins only what is the same in each of these.
     *
     * @param string|null $mixId the mix it was ({@see Recipe::mixId()}); null where nobody said which
     * @param \DateTimeImmutable $mixedAt on the ground's clock, as is @param \DateTimeImmutable $now
     * @param int|null $holdingHours that the card lets a mix stand; null where it is silent
     */
    public function __construct(
        public Quantity $volume,
        public ?string $mixId,
        public string $carrier,
        public ?Strength $strength,
        public \DateTimeImmutable $mixedAt,
        public \DateTimeImmutable $now,
        public ?int $holdingHours,
    ) {}

    /**
     * Until when a mix may be used: the card's hours, or the end of the day on which it was mixed where the card is
     * silent (rulings J10).
     */
    public static function usableUntil(\DateTimeImmutable $mixedAt, ?int $holdingHours): \DateTimeImmutable
    {
        return $holdingHours === null ? $mixedAt->setTime(23, 59, 59) : $mixedAt->modify("+{$holdingHours} hours");
    }

    /** What stands against pouring the next load on it; null where it may join. */
    public function against(?string $mixId, string $carrier, ?Strength $strength): ?Advisory
    {
        if ($this->volume->isZero()) {
            return null;
        }

        return match (true) {
            $this->mixId === null => Advisory::asks('mix.leftover-of-what', 'rulings-J10'),
            $this->mixId !== $mixId || $this->carrier !== $carrier => Advisory::blocks(
                'mix.leftover-other',
                'rulings-J10',
            ),
            $this->strength === null || $strength === null || !$this->strength->share->isEqualTo($strength->share)
                => Advisory::blocks('mix.leftover-strength', 'rulings-J10'),
            $this->now > self::usableUntil($this->mixedAt, $this->holdingHours) => Advisory::blocks(
                'mix.leftover-old',
                'rulings-J10',
                ['age' => $this->age()],
            ),
            default => null,
        };
    }

    private function age(): Quantity
    {
        return Quantity::of(intdiv($this->now->getTimestamp() - $this->mixedAt->getTimestamp(), 60), Unit::Minute);
    }
}
