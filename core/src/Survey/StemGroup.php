<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Measure\Quantity;

/**
 * Stems of one size from a tally: a class [least, below), or single stems typed exactly (rulings B11).
 * Sums use the midpoint, cut counts and ceilings the upper bound; exact stems are used exactly.
 */
final readonly class StemGroup
{
    /** More than six: a row of a tally as it was noted. */
    private function __construct(
        public Quantity $least,
        /** Null for exact stems. */
        public ?Quantity $below,
        public int $count,
        public int $stemsPerClump,
        public bool $estimated,
        /** Texture of the bark, 'smooth' or 'rough'; null where nobody noted it (rulings B40). */
        public ?string $bark = null,
        /** Upper end of the height class; null where nobody noted it. */
        public ?Quantity $height = null,
    ) {}

    public static function exact(Quantity $diameter, int $count, int $stemsPerClump = 1, bool $estimated = false): self
    {
        return new self($diameter, null, $count, $stemsPerClump, $estimated);
    }

    /** The same stems with what was noted of their bark and height. */
    public function noted(?string $bark, ?Quantity $height): self
    {
        return new self(
            $this->least,
            $this->below,
            $this->count,
            $this->stemsPerClump,
            $this->estimated,
            $bark,
            $height,
        );
    }

    /** So many of them, reckoned rather than counted. */
    public function estimatedAs(int $count): self
    {
        return new self($this->least, $this->below, $count, $this->stemsPerClump, true, $this->bark, $this->height);
    }

    /** The same stems, each thicker by so much. */
    public function thickerBy(Quantity $more): self
    {
        return new self(
            $this->least->plus($more),
            $this->below?->plus($more),
            $this->count,
            $this->stemsPerClump,
            true,
            $this->bark,
            $this->height,
        );
    }

    /** As many plants, each of so many stems. */
    public function inClumpsOf(int $stems): self
    {
        return new self(
            $this->least,
            $this->below,
            (int) max(1, round(($this->count / $this->stemsPerClump) * $stems)),
            $stems,
            true,
            $this->bark,
            $this->height,
        );
    }

    public static function sizeClass(
        Quantity $least,
        Quantity $below,
        int $count,
        int $stemsPerClump = 1,
        bool $estimated = false,
    ): self {
        if (!$below->isGreaterThan($least)) {
            throw new \InvalidArgumentException('A size class must end above where it begins.');
        }

        return new self($least, $below, $count, $stemsPerClump, $estimated);
    }

    public function forSums(): Quantity
    {
        return $this->below === null ? $this->least : $this->least->plus($this->below)->dividedBy(2);
    }

    /** For cut counts and ceilings. */
    public function forCeilings(): Quantity
    {
        return $this->below ?? $this->least;
    }

    /**
     * How the group stands to an upper limit: 'within', 'beyond', or 'split' where the limit lies inside the class.
     *
     * @param bool $inclusive whether a stem exactly on the limit still fits
     */
    public function against(Quantity $limit, bool $inclusive): string
    {
        if ($this->below === null) {
            $order = $this->least->compareTo($limit);

            return $order < 0 || ($order === 0 && $inclusive) ? 'within' : 'beyond';
        }
        if (!$this->below->isGreaterThan($limit)) {
            return 'within';
        }
        $order = $this->least->compareTo($limit);

        return $order > 0 || ($order === 0 && !$inclusive) ? 'beyond' : 'split';
    }
}
