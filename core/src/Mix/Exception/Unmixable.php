<?php

declare(strict_types=1);

namespace Thicket\Mix\Exception;

use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\ThicketRefusal;

/** A mix that cannot or must not be made. */
final class Unmixable extends \InvalidArgumentException implements ThicketRefusal
{
    public static function moreThanTheWhole(Quantity $percent): self
    {
        return new self(
            'The parts come to ' . Shown::number($percent->amount) . ' % of the mix; they must stay at or below 100 %.',
        );
    }

    public static function emulsifierWithSurfactant(): self
    {
        return new self('Take oil with emulsifier or surfactant, not both.');
    }

    public static function readyToUse(): self
    {
        return new self(
            'A ready-to-use product is sprayed as it is; choose a concentrate of it where a mix is called for.',
        );
    }

    public static function differentBasis(): self
    {
        return new self('Give both strengths on one basis: both g ae/L, both g ai/L, or both % w/w as printed.');
    }

    public static function tooWeakToMatch(Quantity $percent): self
    {
        return new self('The other product is too weak: it would need ' . Shown::number($percent->amount) . ' % v/v.');
    }

    public static function noSuchTarget(): self
    {
        return new self('A mix is corrected to a strength above nought and below pure product.');
    }

    public static function nothingToBuyIn(): self
    {
        return new self(
            'Give at least one container size with its price, large enough that fewer than two thousand are needed.',
        );
    }
}
