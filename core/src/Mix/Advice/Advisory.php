<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Calendar\MonthDay;
use Thicket\Measure\Quantity;

/** One thing to be said of a mix before anybody makes it. */
final readonly class Advisory
{
    public const BLOCKS = 'blocks';
    public const ASKS = 'asks';
    public const CARE = 'care';

    /**
     * @param string $level blocks (must not be made so), asks (a fact is missing, without which it is not finished),
     *     care (make it, but mind)
     * @param array<string, MonthDay|Quantity|string> $values
     */
    private function __construct(
        public string $code,
        public string $level,
        public string $source,
        public array $values,
    ) {}

    /** @param array<string, MonthDay|Quantity|string> $values */
    public static function blocks(string $code, string $source, array $values = []): self
    {
        return new self($code, self::BLOCKS, $source, $values);
    }

    /** @param array<string, MonthDay|Quantity|string> $values */
    public static function asks(string $code, string $source, array $values = []): self
    {
        return new self($code, self::ASKS, $source, $values);
    }

    /** @param array<string, MonthDay|Quantity|string> $values */
    public static function care(string $code, string $source, array $values = []): self
    {
        return new self($code, self::CARE, $source, $values);
    }
}
