<?php

declare(strict_types=1);

namespace Thicket\Measure\Exception;

use Thicket\ThicketRefusal;

/** What somebody typed cannot be read as an amount with a unit. The sentence says what would be right. */
final class UnreadableQuantity extends \InvalidArgumentException implements ThicketRefusal
{
    private function __construct(string $message, public readonly string $typed)
    {
        parent::__construct($message);
    }

    public static function notANumber(string $typed): self
    {
        return new self('Write a number such as 1.5, 1/2 or 1 1/2; got "' . self::clip($typed) . '".', $typed);
    }

    public static function empty(): self
    {
        return new self('Write a number and a unit, such as 1 1/2 in.', '');
    }

    public static function decimalComma(string $typed): self
    {
        return new self(
            'Write decimals with a point (1.5), thousands without a comma (1500); got "' . self::clip($typed) . '".',
            $typed,
        );
    }

    /** One comma and three digits: thousands in one country, decimals in another. */
    public static function twoReadings(string $typed, string $thousands, string $decimals): self
    {
        return new self("Write {$thousands} or {$decimals}; \"" . self::clip($typed) . '" could be either.', $typed);
    }

    /** A range, where one figure is asked. */
    public static function twoFigures(string $typed, string $first, string $second): self
    {
        return new self(
            "Write one figure, {$first} or {$second}: \"" .
                self::clip($typed) .
                '" is two. A label\'s least and most have fields of their own.',
            $typed,
        );
    }

    /** A symbol that means one thing in capitals and another without. */
    public static function whichCase(string $typed, string $symbol, string $means): self
    {
        return new self(
            "\"{$symbol}\" could be two measures: write {$means}; got \"" . self::clip($typed) . '".',
            $typed,
        );
    }

    public static function noUnit(string $typed, string $example): self
    {
        return new self('Add the unit, such as ' . $example . '; got "' . self::clip($typed) . '".', $typed);
    }

    public static function unknownUnit(string $typed, string $unit): self
    {
        return new self(
            'The unit "' .
                self::clip($unit) .
                '" is not known here; units read like in, cm, fl oz, mL, US gal, qt/ac, %.',
            $typed,
        );
    }

    public static function ambiguousOunce(string $typed): self
    {
        return new self(
            'An ounce can be dry or fluid: write "oz dry" or "fl oz"; got "' . self::clip($typed) . '".',
            $typed,
        );
    }

    public static function negative(string $typed): self
    {
        return new self('This cannot be below zero; got "' . self::clip($typed) . '".', $typed);
    }

    public static function tooLarge(string $typed): self
    {
        return new self('This is larger than any job; got "' . self::clip($typed) . '".', $typed);
    }

    private static function clip(string $typed): string
    {
        return mb_strimwidth($typed, 0, 40, '…');
    }
}
