<?php

declare(strict_types=1);

namespace Thicket\Verdict;

/** What a row of the board says, worst first (rulings B3). */
enum Outcome: string
{
    case NotAllowed = 'notAllowed';
    case DoesNotSuit = 'doesNotSuit';
    case CannotTell = 'cannotTell';
    case NotNow = 'notNow';
    case WithCare = 'withCare';
    case Fits = 'fits';

    /** 0 is worst. */
    public function rank(): int
    {
        return match ($this) {
            self::NotAllowed => 0,
            self::DoesNotSuit => 1,
            self::CannotTell => 2,
            self::NotNow => 3,
            self::WithCare => 4,
            self::Fits => 5,
        };
    }

    public function isWorseThan(self $other): bool
    {
        return $this->rank() < $other->rank();
    }
}
