<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Outline;
use Thicket\Survey\Overlap;

/** One active put on some ground on one day, by a signed record or a sheet that is out. */
final readonly class PastLoad
{
    /**
     * @param string $patch where it was put; only told apart by it
     * @param Quantity|null $load of active per area; null where nobody knows how much
     * @param bool $isHere whether it was put on the very patch of the job
     * @param Outline|null $outline of another patch, as it was on that day; null where nobody drew it
     */
    public function __construct(
        public string $patch,
        public \DateTimeImmutable $day,
        public ?Quantity $load,
        public bool $isHere,
        public ?Outline $outline = null,
    ) {}

    /** Whether any of it lies on the patch of the job. */
    public function reaches(?Outline $patch): bool
    {
        if ($this->isHere) {
            return true;
        }

        return $patch !== null &&
            $this->outline !== null &&
            Overlap::heaviest($patch, [['outline' => $this->outline, 'load' => Quantity::of(1, Unit::One)]]) !== null;
    }
}
