<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/** What is assumed of one figure: low, use, high, and who says so. */
final readonly class Span
{
    public const OUR_GUESS = 'our-guess';
    public const SPECIES = 'species';
    /** Our guess too, but of this plant and not of its kind. */
    public const SPECIES_GUESS = 'species-guess';
    public const RECORDS = 'records';
    public const BOARD = 'board';
    public const GIVEN = 'given';
    private const WIDE = 3.0;

    public function __construct(
        public float $low,
        public float $use,
        public float $high,
        public string $source = self::OUR_GUESS,
    ) {}

    /** @param array{float, float, float} $three */
    public static function of(array $three, string $source = self::OUR_GUESS): self
    {
        return new self($three[0], $three[1], $three[2], $source);
    }

    /** So wide that it is a matter of times, not of more or less: it is drawn on the scale of its logarithm. */
    public function isOfTimes(): bool
    {
        return $this->low > 0 && $this->high >= self::WIDE * $this->low;
    }
}
