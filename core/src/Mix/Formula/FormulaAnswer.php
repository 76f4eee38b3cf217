<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Measure\Quantity;

/** Named figures, and what nobody gave that would be wanted for more of them. */
final readonly class FormulaAnswer
{
    /**
     * @param array<string, Quantity|int|bool|string|list<array<string, mixed>>> $values
     * @param list<string> $missing
     */
    public function __construct(public array $values, public array $missing = []) {}

    public static function none(): self
    {
        return new self([]);
    }
}
